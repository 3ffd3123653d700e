import type { RigRecord } from '../../record/record';
import type { WaterMarkRecord } from '../../record/tow';

/** An entry of the water log that says how deep it was. */
export type SeenMark = WaterMarkRecord & { readonly depthM: number };

/**
 * Entries of the water log that teach how deep this rig swims: with the line that is on and nothing lost of it since, the lure that is
 * towed now, on a straight course, at a depth that was known.
 */
export function marksThatTeach(record: Pick<RigRecord, 'towed' | 'load' | 'waterMarks'>): readonly SeenMark[] {
  const { towed, load, waterMarks } = record;
  if (!towed || load?.status !== 'wound') return [];
  const changedAt = load.changes.reduce((last, { at }) => (at > last ? at : last), '');
  return waterMarks.filter(
    (mark): mark is SeenMark =>
      mark.depthM !== null &&
      mark.loadId === load.id &&
      mark.lure === towed.lure &&
      mark.turn === 'straight' &&
      mark.at > changedAt,
  );
}
