import 'server-only';
import { insertReplacement } from '../../db/queries/loads';
import { insertLogEntry } from '../../db/queries/log';
import { conflict, done, invalid, notFound, type UseCaseOutcome } from '../outcome';
import { RefusedInTransaction, refusedInside } from '../refused';
import { readRigRecord } from '../rigs/rigRecord';
import { takeFromShelf } from '../supplies/takeFromShelf';
import type { ReplacementInput } from './loadInput';

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
    const product = record.products.find((candidate) => candidate.id === input.productId);
    if (!product) return invalid('productId', 'Choose a line of this boat.');
    const { supplySpoolId, ...replacement } = input;
    await insertReplacement(db, boatId, loadId, replacement);
    if (supplySpoolId !== null) {
      const refusal = await takeFromShelf(db, record, { ...replacement, supplySpoolId, loadId });
      if (refusal) throw new RefusedInTransaction(refusal);
    }
    await insertLogEntry(
      db,
      boatId,
      rigId,
      'load',
      `${top.name} replaced: ${input.lengthM.toFixed(1)} m of ${product.name}. ${input.note}`.trim(),
    );
    return done({ done: true });
  });
}
