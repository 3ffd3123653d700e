import { oncePer } from '../../oncePer';
import type { RigRecord } from '../../record/record';
import { woundLine } from '../line/currentLine';

/** What is left of a segment below this (m) is nothing. */
const NOTHING_M = 1e-6;

/**
 * When each segment was last the outermost one as line tore off the hook: the join at its inner end bore that pull, whatever was
 * tied on outside of it since.
 *
 * @returns times (ISO 8601) by the segment's id; empty while nothing is loaded
 */
export const lossesBorne = oncePer((record: RigRecord): ReadonlyMap<string, string> => {
  const { load } = record;
  const borne = new Map<string, string>();
  if (load?.status !== 'wound') return borne;
  const left = new Map(
    woundLine(record, { ...load, changes: [], replacements: [] }).segments.map(({ id, lengthM }) => [id, lengthM]),
  );
  const acts = [
    ...load.changes.map((change) => ({ ...change, to: null })),
    ...load.replacements.map((each) => ({ ...each, to: each.lengthM, changeM: 0, reason: 'replaced' as const })),
  ].toSorted((a, b) => a.at.localeCompare(b.at));
  for (const { segmentId, to, changeM, reason, at } of acts) {
    left.set(segmentId, to ?? (left.get(segmentId) ?? 0) + changeM);
    if (reason !== 'lost') continue;
    const outermost = load.segments.findLast((segment) => (left.get(segment.segmentId) ?? 0) > NOTHING_M);
    if (outermost) borne.set(outermost.segmentId, at);
  }
  return borne;
});
