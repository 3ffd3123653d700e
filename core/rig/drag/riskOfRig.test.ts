import { dragEnvelope } from '../../drag/dragEnvelope';
import { riskAlong } from '../../drag/riskAlong';
import { lastSafeLength } from '../../drag/risk';
import { USUAL_RUN } from '../../drag/waterPull';
import { seededRandom } from '../../../instruments/random';
import { pulls, woundRig } from '../../../tests/rigFixture';
import type { RigRecord } from '../../record/record';
import { rigView } from '../view/rigView';
import { riskOfRig } from './riskOfRig';
import { surgeOfRig, USUAL_JERK_M } from './surgeOfRig';

function at(record: RigRecord, forceN: number) {
  const view = rigView(record);
  if (!view?.strength || !view.inReach) throw new Error('the fixture has no strength');
  const { line } = view.current;
  const envelope = dragEnvelope(line, view.strength, { forceN, plusMinusN: 0, lengthOutM: 0 }, USUAL_RUN);
  return { rig: riskOfRig(record, line, view.inReach, envelope, USUAL_RUN, view.reach.outM), outM: view.reach.outM };
}
const tested = (...tests: RigRecord['strengthTests']): RigRecord => ({ ...woundRig(), strengthTests: tests });

describe('a rig as its chance of breaking needs it', () => {
  it('says of which lines too little is known, and which joins nobody has pulled', () => {
    const lead = pulls('lead', [80, 82, 78]);
    expect(at(tested(lead), 15).rig.unknown).toEqual(['top line', 'nylon line']);
    // A nylon that was pulled lends the other its scatter.
    const { rig } = at(tested(lead, pulls('nylon', [140, 142, 139])), 15);
    expect(rig.unknown).toEqual([]);
    // The join that was broken three times stands on its own.
    expect(rig.untested).toEqual([expect.stringMatching(/^sheath over mono.*Backing/)]);
  });

  it('gives one spool one key, a join both of its lines, and stations up to the end of the reach', () => {
    const { rig, outM } = at(tested(pulls('lead', [80, 82, 78]), pulls('nylon', [140, 142, 139])), 15);
    const join = rig.places.find((place) => place.id === 'j2');
    expect(join?.lines.map(({ key }) => key)).toEqual(['line lead', 'line top']);
    expect(join?.keeps).toMatchObject({ pulls: 3, key: 'join sheath-over-mono' });
    expect(rig.places.find((place) => place.id === 's2')).toMatchObject({ keeps: null, waterN: 0 });
    expect(rig.pull.stations.at(-1)?.lengthOutM).toBeLessThanOrEqual(outM + 1e-9);
    expect(rig.pull.stations.at(-1)?.lengthOutM).toBeGreaterThan(0.97 * outM);
    expect(rig.pull.stations.length).toBeLessThanOrEqual(41);
  });

  it('keeps a jerk apart from the steady pull, at the pull that it comes to, and says nothing where it cannot be told', () => {
    const record = tested(pulls('lead', [80, 82, 78]), pulls('nylon', [140, 142, 139]));
    const view = rigView(record);
    if (!view?.strength || !view.inReach) throw new Error('the fixture has no strength');
    const { line } = view.current;
    const envelope = dragEnvelope(line, view.strength, { forceN: 15, plusMinusN: 0, lengthOutM: 0 }, USUAL_RUN);
    const drag = { forceN: 15, breakawayRatio: 1.15, isJerkRead: false };
    const surgeAt = (lengthM: number) => surgeOfRig(view, drag, lengthM, USUAL_JERK_M)?.peakN ?? null;
    const { pull, jerked } = riskOfRig(record, line, view.inReach, envelope, USUAL_RUN, view.reach.outM, surgeAt);
    expect(pull.stations.every(({ surgeN }) => surgeN === 0)).toBe(true);
    const [first, peak] = [jerked?.stations[0], surgeAt(jerked?.stations[0]?.lengthOutM ?? 0)];
    expect((first?.tipN ?? 0) + (first?.surgeN ?? 0)).toBeCloseTo(peak?.value ?? 0, 9);
    expect(jerked?.surgeRelativeSd).toBeGreaterThan(0.1);
    expect(at(record, 15).rig.jerked).toBeNull();
  });

  it('breaks hardly ever at a small share of what it holds, and often at nine tenths', () => {
    const record = tested(pulls('lead', [80, 82, 78]), pulls('nylon', [140, 142, 139]));
    const risks = (forceN: number) => {
      const { places, pull } = at(record, forceN).rig;
      return riskAlong(places, pull, seededRandom(1), 200);
    };
    const light = risks(5);
    expect(lastSafeLength(light, 0.01)).toBe(light.at(-1)?.lengthOutM);
    const heavy = risks(45);
    expect(heavy[0]?.chance).toBeGreaterThan(0.05);
    expect(lastSafeLength(heavy, 0.01)).toBeNull();
  });
});
