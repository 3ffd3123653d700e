import 'server-only';
import type { PoolClient, QueryResult, QueryResultRow } from 'pg';
import { database } from './pool';

/** What queries run on: the pool or one client inside a transaction. */
export interface Queryable {
  query<R extends QueryResultRow>(text: string, values?: readonly unknown[]): Promise<QueryResult<R>>;
}

/** The pool as a {@link Queryable}, for single reads. */
export function reader(): Queryable {
  const pool = database();
  return { query: (text, values) => pool.query(text, values as unknown[]) };
}

/** One client runs one statement at a time: statements asked for together wait for their turn. */
function inTurn(client: PoolClient): Queryable {
  let last: Promise<unknown> = Promise.resolve();
  return {
    query: <R extends QueryResultRow>(text: string, values?: readonly unknown[]) => {
      const run = (): Promise<QueryResult<R>> => client.query<R>(text, values as unknown[]);
      const next = last.then(run, run);
      last = next;
      return next;
    },
  };
}

/**
 * Runs work in one transaction: everything it wrote is kept, or, when it throws, nothing.
 */
export async function withTransaction<T>(work: (db: Queryable) => Promise<T>): Promise<T> {
  const client: PoolClient = await database().connect();
  try {
    await client.query('BEGIN');
    const result = await work(inTurn(client));
    await client.query('COMMIT');
    return result;
  } catch (error) {
    await client.query('ROLLBACK');
    throw error;
  } finally {
    client.release();
  }
}

/** The only row of a result. Throws when there is none: a programming error, not an outcome. */
export function onlyRow<R extends QueryResultRow>(result: QueryResult<R>): R {
  const [row] = result.rows;
  if (!row) throw new Error('onlyRow: the statement gave no row');
  return row;
}
