import 'server-only';
import { insertReplacement } from '../../db/queries/lineChanges';
import { insertLogEntry } from '../../db/queries/log';
import { findVirtualLine, findVirtualReel, updateVirtualReel } from '../../db/queries/virtualBench';
import type { Queryable } from '../../db/withTransaction';
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
    await followOnVirtualReel(db, boatId, rigId, input);
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

/** The virtual reel carries the new line too, where its bench has one. */
async function followOnVirtualReel(
  db: Queryable,
  boatId: string,
  rigId: string,
  input: ReplacementInput,
): Promise<void> {
  const virtual = await findVirtualReel(db, boatId, rigId);
  const line = await findVirtualLine(db, boatId, input.productId);
  if (!virtual || !line || virtual.reelState.wound.length === 0) return;
  const wound = [...virtual.reelState.wound.slice(0, -1), { ...line.windingTruth, lengthM: input.lengthM }];
  await updateVirtualReel(db, boatId, rigId, virtual.version, {
    reelState: { ...virtual.reelState, wound, turnsOut: 0, zeroTurns: 0, handlings: virtual.reelState.handlings + 1 },
    dragClicks: virtual.dragClicks,
  });
}
