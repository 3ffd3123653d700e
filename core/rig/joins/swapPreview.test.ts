import { plannedRig, woundRig } from '../../../tests/rigFixture';
import { currentLine } from '../line/currentLine';
import { joinsState } from './joinsOfRig';
import { swapPreview } from './swapPreview';

const line = (record: ReturnType<typeof woundRig>) => {
  const now = currentLine(record);
  if (!now.ok) throw new Error(now.reason);
  return now.value.line;
};

describe('a swap of the top shot', () => {
  it('by the same line and length changes nothing', () => {
    const rig = woundRig({});
    const top = line(rig).segments.at(-1);
    const preview = swapPreview(rig, { productId: rig.segments.at(-1)?.productId ?? '', lengthM: top?.lengthM ?? 0 });
    expect(preview?.levelRiseM).toBeCloseTo(0, 5);
    expect(preview?.counterShift).toBeCloseTo(0, 4);
    expect(preview?.weakestAfter).toEqual(preview?.weakestBefore);
  });

  it('by more line fills the spool, and the counter then reads less for the same line', () => {
    const rig = woundRig({});
    const top = line(rig).segments.at(-1)?.lengthM ?? 0;
    const more = swapPreview(rig, { productId: 'nylon', lengthM: 2 * top });
    const less = swapPreview(rig, { productId: 'nylon', lengthM: 0.5 * top });
    expect(more?.levelRiseM).toBeGreaterThan(0);
    expect(more?.counterShift).toBeLessThan(0);
    expect(less?.levelRiseM).toBeLessThan(0);
    expect(less?.counterShift).toBeGreaterThan(0);
  });

  it('is what currentLine makes of it once it is on record', () => {
    const rig = woundRig({});
    const swap = { productId: 'nylon', lengthM: 40 };
    const preview = swapPreview(rig, swap);
    const replacement = { id: 'r', segmentId: 's2', ...swap, windOnId: 'w', note: '', at: '2026-03-03T10:00:00.000Z' };
    const after = line(woundRig({ replacements: [replacement] }));
    expect(preview?.levelRiseM).toBeCloseTo((after.fullDiameterM - line(rig).fullDiameterM) / 2, 9);
  });

  it('is nothing on a reel that is not wound', () => {
    expect(swapPreview(plannedRig(), { productId: 'nylon', lengthM: 10 })).toBeNull();
  });
});

describe('the joins of a rig', () => {
  const tied = (at: string, pullTested: boolean) => {
    const rig = plannedRig();
    const lastTie = {
      id: 't',
      school: 's',
      seatedN: null,
      pullTested,
      person: null,
      note: '',
      hasPhoto: false,
      drags: 0,
      fish: 0,
      at,
    };
    return joinsState({ ...rig, joins: rig.joins.map((join) => ({ ...join, lastTie })) });
  };

  it('are due, never pulled, good or to be tied anew', () => {
    expect(joinsState(plannedRig())).toEqual({
      state: 'due',
      why: { reason: 'joins-not-tied', figures: { missing: 3, joins: 3 } },
    });
    expect(tied('2026-04-01T10:00:00.000Z', true)).toEqual({
      state: 'done',
      why: { reason: 'joins-done', figures: {} },
    });
    expect(tied('2026-04-01T10:00:00.000Z', false)).toMatchObject({
      state: 'due',
      why: { reason: 'joins-not-pulled', figures: { missing: 3 } },
    });
    expect(tied('2025-04-01T10:00:00.000Z', true)).toMatchObject({
      state: 'stale',
      why: { reason: 'joins-due-again', figures: { due: 3 } },
    });
    expect(joinsState({ ...plannedRig(), joins: [] }).state).toBe('due');
  });
});
