import 'server-only';
import { because } from '../../core/reasons';
import type { RigRecord } from '../../core/record/record';
import { productIdNow } from '../../core/rig/line/woundSegments';
import { debitSupplySpool } from '../../db/queries/supplies';
import type { Queryable } from '../../db/withBoat';
import { conflict, invalid, notFound, type Refusal } from '../outcome';

/**
 * Takes the line of a segment from a spool on the shelf; null when it was taken. Belongs inside the transaction
 * that winds it.
 *
 * @param record the rig that it is for
 * @param taken what is taken; `productId` when it is another line than the segment's
 */
export async function takeFromShelf(
  db: Queryable,
  record: RigRecord,
  taken: {
    readonly supplySpoolId: string;
    readonly loadId: string;
    readonly segmentId: string;
    readonly lengthM: number | undefined;
    readonly productId?: string;
  },
): Promise<Refusal | null> {
  const spool = record.supplySpools.find((candidate) => candidate.id === taken.supplySpoolId);
  if (!spool || taken.lengthM === undefined) return notFound('supply spool');
  if (spool.lineProductId !== (taken.productId ?? productIdNow(record, taken.segmentId))) {
    return invalid('supplies', because('spool-of-another-line', { spool: spool.label }));
  }
  const debited = await debitSupplySpool(db, record.boat.id, { ...taken, lengthM: taken.lengthM });
  if (debited) return null;
  return conflict(
    because('spool-has-less', { spool: spool.label, remainingM: spool.remainingLengthM, takenM: taken.lengthM }),
  );
}
