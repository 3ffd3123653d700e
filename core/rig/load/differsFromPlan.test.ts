import { woundRig } from '../../../tests/rigFixture';
import type { LoadRecord } from '../../record/record';
import { differsFromPlan } from './differsFromPlan';

function ofLoad(change: Partial<LoadRecord> = {}) {
  const rig = woundRig(change);
  if (!rig.load) throw new Error('the fixture is not loaded');
  return differsFromPlan(rig, rig.load);
}
const load = woundRig().load;
const winding = load?.winding ?? [];

describe('differsFromPlan', () => {
  it('is nothing where it was wound as planned, nor what changed since', () => {
    expect(ofLoad()).toBeNull();
    const lost = {
      id: 'c',
      segmentId: 's2',
      changeM: -20,
      reason: 'lost' as const,
      note: '',
      at: '2026-03-02T10:00:00.000Z',
    };
    expect(ofLoad({ changes: [lost] })).toBeNull();
  });

  it('names the length that differs most, and by how much, where a person took the counter at its word', () => {
    const short = winding.map((entry) =>
      entry.segmentId === 's2' ? { ...entry, reading: (entry.reading ?? 0) + 20, lengthIs: 'counter' as const } : entry,
    );
    const found = ofLoad({ winding: short, levelBelowRimM: null });
    expect(found).toMatchObject({ reason: 'wound-otherwise', figures: { segment: 'Top shot', others: 0 } });
    expect(found?.figures.byM).toBeLessThan(-15);
  });

  it('names a length that was agreed to', () => {
    const segments = (load?.segments ?? []).map((segment) =>
      segment.segmentId === 's2' ? { ...segment, plannedLengthM: 39.7, agreedFromM: 60 } : segment,
    );
    expect(ofLoad({ segments })).toMatchObject({
      reason: 'wound-otherwise',
      figures: { segment: 'Top shot', byM: expect.closeTo(-20.3, 6) },
    });
  });

  it('names the level where only that differs', () => {
    expect(ofLoad({ levelBelowRimM: 0.0031 })).toMatchObject({
      reason: 'wound-to-other-level',
      figures: { byM: expect.closeTo(0.0011, 4) },
    });
  });
});
