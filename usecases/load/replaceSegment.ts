import 'server-only';
import { because } from '../../core/reasons';
import type { BoatDb } from '../../db/withBoat';
import { conflict, done, invalid, type UseCaseOutcome } from '../outcome';
import { finishedLoadToWrite } from './finishedLoad';
import { takeFromShelf } from '../supplies/takeFromShelf';
import type { ReplacementInput } from './loadInput';
import { putOn } from './putOn';

/** Replaces the outermost wound segment in one act: what is on, the shelf and the log change together. */
export async function replaceSegment(
  db: BoatDb,
  rigId: string,
  loadId: string,
  input: ReplacementInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  const found = await finishedLoadToWrite(db, rigId, loadId);
  if (!found.ok) return found;
  const { record, load } = found.value;
  const top = load.segments.findLast((segment) => segment.wound);
  if (top?.segmentId !== input.segmentId) return conflict(because('only-outermost-replaced'));
  if (!record.products.some((candidate) => candidate.id === input.productId)) {
    return invalid('productId', because('not-a-line-of-this-boat'));
  }
  const { supplySpoolId, ...line } = input;
  await putOn(db, record, load, { ...line, windOnId: null });
  if (supplySpoolId !== null) {
    const refusal = await takeFromShelf(db, record, { ...line, supplySpoolId, loadId });
    if (refusal) return refusal;
  }
  return done({ done: true });
}
