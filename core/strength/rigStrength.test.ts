import type { Known } from '../provenance/source';
import { readBreak } from './readBreak';
import {
  nextWeakest,
  rigStrength,
  snagBreak,
  strengthPlusMinusN,
  weakestWithin,
  type RigStrength,
} from './rigStrength';

const holds = (value: number, source: Known['source'] = 'measured'): Known => ({ value, sd: value * 0.02, source });
const SEGMENTS = [
  { segmentId: 'backing', name: 'Backing', lengthM: 200, strengthN: holds(300), boundN: 240 },
  { segmentId: 'lead', name: 'Lead core', lengthM: 45, strengthN: holds(120), boundN: 78 },
  { segmentId: 'top', name: 'Top shot', lengthM: 20, strengthN: holds(100), boundN: null },
];
const half: Known = { value: 0.5, sd: 0.05, source: 'default' };
const JOINS = [
  {
    joinId: 'j0',
    name: 'arbor knot',
    innerSegmentId: null,
    outerSegmentId: 'backing',
    efficiency: half,
    boundShare: null,
  },
  {
    joinId: 'j1',
    name: 'sheath over mono',
    innerSegmentId: 'backing',
    outerSegmentId: 'lead',
    efficiency: { ...half, value: 0.9 },
    boundShare: null,
  },
  {
    joinId: 'j2',
    name: 'small swivel',
    innerSegmentId: 'lead',
    outerSegmentId: 'top',
    efficiency: { ...half, value: 0.8 },
    boundShare: 0.7,
  },
];

describe('rigStrength', () => {
  // Worked out for each test, so that what it works out is looked at there.
  let rig: RigStrength;
  beforeEach(() => {
    rig = rigStrength(SEGMENTS, JOINS);
  });

  it('runs from hook to arbor with a join between its two lines', () => {
    expect(rig.places.map((place) => place.id)).toEqual(['top', 'j2', 'lead', 'j1', 'backing']);
    expect(rig.places[1]).toMatchObject({ kind: 'join', fromHookM: 20, toHookM: 20 });
    expect(rig.places[4]).toMatchObject({ fromHookM: 65, toHookM: 265 });
  });

  it('takes a join as its share of the weaker line, a default as long as one part is', () => {
    expect(rig.places[1]?.strengthN.value).toBeCloseTo(80, 12);
    expect(rig.places[1]?.strengthN.source).toBe('default');
    expect(rig.places[1]?.strengthN.sd).toBeCloseTo(80 * Math.hypot(0.02, 0.05 / 0.8), 12);
    expect(rig.places[3]?.strengthN.value).toBeCloseTo(108, 12);
    // Half of a 95 % interval.
    expect(strengthPlusMinusN(holds(100))).toBeCloseTo(3.92, 9);
  });

  it('takes the weaker of the two lines whichever side it is on, and what the test of both was', () => {
    const turned = rigStrength(
      [
        { segmentId: 'backing', name: 'Backing', lengthM: 200, strengthN: holds(90), boundN: null },
        { segmentId: 'top', name: 'Top shot', lengthM: 20, strengthN: holds(200), boundN: 150 },
      ],
      [
        {
          ...{ joinId: 'j', name: 'plait', innerSegmentId: 'backing', outerSegmentId: 'top', boundShare: 0.8 },
          efficiency: { value: 0.9, sd: 0.045, source: 'measured' },
        },
      ],
    );
    const join = turned.places.find((place) => place.id === 'j');
    expect(join).toMatchObject({ boundN: 72, strengthN: { source: 'measured' } });
    expect(join?.strengthN.value).toBeCloseTo(81, 12);
    // Relative errors of a product add in quadrature (GUM, 5.1.6).
    expect(join?.strengthN.sd).toBeCloseTo(81 * Math.hypot(0.02, 0.05), 12);
    expect(turned).toMatchObject({ arborJoin: null, weakest: { id: 'j' }, weakestByBound: { id: 'j' } });
    expect(nextWeakest(turned)).toMatchObject({ id: 'backing' });
  });

  it('names the weakest place and keeps the arbor join out of it', () => {
    expect(rig.weakest.id).toBe('j2');
    expect(rig.arborJoin?.strengthN.value).toBeCloseTo(150, 12);
  });

  it('names the weakest place by bound, of those that have one', () => {
    // The swivel keeps 70 % of the top shot in 95 of 100: 70 N, under the lead core's own 78 N.
    expect(rig.weakestByBound).toMatchObject({ id: 'j2', boundN: 70 });
    const unbound = rigStrength(
      SEGMENTS.map((segment) => ({ ...segment, boundN: null })),
      [],
    );
    expect(unbound.weakestByBound).toBeNull();
    const without = rigStrength(SEGMENTS, JOINS.slice(0, 2));
    expect(without.weakestByBound).toMatchObject({ id: 'lead', boundN: 78 });
  });

  it('says whether a snag would break it where it is meant to, and what mending the weakest place would do', () => {
    expect(snagBreak(rig, null)).toMatchObject({ asMeant: true, meant: { id: 'top' }, breaksAt: { id: 'j2' } });
    expect(snagBreak(rig, 'lead')).toMatchObject({ asMeant: true });
    expect(snagBreak(rig, 'j1')).toMatchObject({ asMeant: false, meant: { id: 'j1' } });
    // What is meant to break lies wholly outside of what does.
    expect(snagBreak(rig, 'backing')).toMatchObject({ asMeant: false, breaksAt: { id: 'j2' } });
    expect(snagBreak(rig, 'nothing')).toBeNull();
    expect(nextWeakest(rig)).toMatchObject({ id: 'top' });
    expect(nextWeakest(rigStrength(SEGMENTS.slice(0, 1), []))).toBeNull();
  });

  it('knows only what is out', () => {
    expect(weakestWithin(rig, 0).id).toBe('top');
    expect(weakestWithin(rig, 19.9).id).toBe('top');
    expect(weakestWithin(rig, 20).id).toBe('j2');
  });

  it('throws without a segment, or with a join to nowhere', () => {
    expect(() => rigStrength([], [])).toThrow(/at least one segment/);
    expect(() => rigStrength(SEGMENTS.slice(1), JOINS)).toThrow(/the segment backing/);
  });
});

describe('readBreak', () => {
  const ramp = Array.from({ length: 50 }, (_, i) => ({ timeS: i / 10, forceN: i }));

  it('reads the peak of a pull that broke', () => {
    expect(readBreak([...ramp, { timeS: 5, forceN: 0 }])).toEqual({ ok: true, value: 49 });
  });

  it('does not take an unbroken pull for a strength', () => {
    expect(readBreak(ramp)).toMatchObject({ ok: false, reason: 'not-broken-yet' });
    expect(readBreak([{ timeS: 0, forceN: 0 }])).toMatchObject({ ok: false, reason: 'no-pull' });
    expect(readBreak([])).toMatchObject({ ok: false, reason: 'no-pull' });
  });
});
