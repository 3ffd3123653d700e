import 'server-only';
import { withTransaction, type Queryable } from '../db/withTransaction';
import type { Refusal, UseCaseOutcome } from './outcome';

/** A refusal that comes after something was written: it undoes the transaction on its way out. */
export class RefusedInTransaction extends Error {
  constructor(readonly refusal: Refusal) {
    super(refusal.message);
  }
}

/** Like `withTransaction`, for work that may have to refuse after it has written. */
export async function refusedInside<T>(
  work: (db: Queryable) => Promise<UseCaseOutcome<T>>,
): Promise<UseCaseOutcome<T>> {
  try {
    return await withTransaction(work);
  } catch (error) {
    if (error instanceof RefusedInTransaction) return error.refusal;
    throw error;
  }
}
