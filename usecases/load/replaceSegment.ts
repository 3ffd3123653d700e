import 'server-only';
import { conflict, done, invalid, notFound, type UseCaseOutcome } from '../outcome';
import { RefusedInTransaction, refusedInside } from '../refused';
import { readRigRecord } from '../rigs/rigRecord';
import { takeFromShelf } from '../supplies/takeFromShelf';
import type { ReplacementInput } from './loadInput';
import { putOn } from './putOn';

/** Replaces the outermost wound segment in one act: what is on, the shelf and the log change together. */
export async function replaceSegment(
  boatId: string,
  rigId: string,
  loadId: string,
  input: ReplacementInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  return refusedInside(async (db) => {
    const record = await readRigRecord(boatId, rigId, db);
    const load = record?.load;
    if (!record || load?.id !== loadId) return notFound('load');
    if (load.status !== 'wound') return conflict('Finish winding first.');
    const top = load.segments.findLast((segment) => segment.wound);
    if (top?.segmentId !== input.segmentId) return conflict('Only the outermost wound segment can be replaced.');
    if (!record.products.some((candidate) => candidate.id === input.productId)) {
      return invalid('productId', 'Choose a line of this boat.');
    }
    const { supplySpoolId, ...line } = input;
    await putOn(db, record, load, { ...line, windOnId: null });
    if (supplySpoolId !== null) {
      const refusal = await takeFromShelf(db, record, { ...line, supplySpoolId, loadId });
      if (refusal) throw new RefusedInTransaction(refusal);
    }
    return done({ done: true });
  });
}
