import { plannedRig, woundRig } from '../../../tests/rigFixture';
import { windingOutlook } from '../line/windingOutlook';
import { runSheet } from './runSheet';

function rowsOf(record: Parameters<typeof runSheet>[0]) {
  const sheet = runSheet(record);
  if (!sheet.ok) throw new Error(sheet.reason);
  return sheet.value;
}

describe('a run sheet', () => {
  it('of a plan names what is tied, the stop with its laps, the level after, and every colour', () => {
    const { loadId, rows } = rowsOf(plannedRig());
    expect(loadId).toBeNull();
    expect(rows.map(({ name, tiedTo }) => [name, tiedTo])).toEqual([
      ['Backing', null],
      ['Lead core', 'Backing'],
      ['Top shot', 'Lead core'],
    ]);
    expect(rows[1]?.colours.map(({ colour }) => colour)).toEqual(['orange', 'black']);
    const backing = rows[0];
    // The counter runs backwards from zero: so many laps of 1000 less the reading are the counts.
    const counts = 1000 * ((backing?.stop?.laps ?? 0) + 1) - (backing?.stop?.reading ?? 0);
    expect(counts).toBeGreaterThan(backing?.lengthM ?? Infinity);
    expect(rows.at(-1)?.levelAfterM).toBeCloseTo(0.002, 6);
    expect(rows.every(({ noted }) => noted === null)).toBe(true);
  });

  it('of a winding is what the bench says now, with what was noted', () => {
    const rig = woundRig({ status: 'winding', finishedAt: null, levelBelowRimM: null });
    if (!rig.load) throw new Error('the fixture is not loaded');
    const [first] = rig.load.winding;
    const bench = { ...rig, load: { ...rig.load, winding: first ? [first] : [] } };
    const { loadId, rows } = rowsOf(bench);
    expect(loadId).toBe(rig.load.id);
    expect(rows[0]?.noted).toBe(first);
    expect(rows[0]?.stop).toBeNull();
    const next = windingOutlook(bench)?.remaining[0];
    expect(rows[1]?.stop).toEqual({ reading: next?.stopReading, laps: next?.stopLaps, plusMinus: next?.stopPlusMinus });
  });

  it('of nothing, or of what does not fit, says so', () => {
    expect(runSheet({ ...plannedRig(), segments: [] })).toMatchObject({ ok: false, reason: 'no-segments' });
    const rig = plannedRig();
    const segments = rig.segments.map((each) => (each.id === 's2' ? { ...each, lengthM: 3000 } : each));
    expect(runSheet({ ...rig, segments })).toMatchObject({ ok: false, reason: 'does-not-fit' });
  });
});
