import 'server-only';
import { createHash } from 'node:crypto';
import type { PoolClient, QueryResult, QueryResultRow } from 'pg';
import { database } from './pool';

/** Who asks: one of a boat's crew, or nobody in particular while there is no sign-in. */
export interface Principal {
  /** The one of the crew who is at the bench on this device, as far as that was said; unknown ids count as nobody. */
  readonly personId: string | null;
}

export const NOBODY: Principal = { personId: null };

/** What queries run on: one client inside a transaction that has named its boat. */
export interface Queryable {
  query<R extends QueryResultRow>(text: string, values?: readonly unknown[]): Promise<QueryResult<R>>;
}

/** A transaction of one boat: row security lets it see and write that boat's rows and no others. */
export interface BoatDb extends Queryable {
  readonly boatId: string;
  /** The boat as it stands on record; null when there is no such boat. */
  readonly boat: {
    readonly id: string;
    readonly name: string;
    readonly homeWater: string;
    /** How long measurements take its crew, by kind, where they have said. */
    readonly minutes: Readonly<Partial<Record<string, number>>>;
  } | null;
}

/** The boat of work that belongs to none: the list of boats, and making one. No row of any boat is seen. */
export const NO_BOAT = '00000000-0000-0000-0000-000000000000';

const BEGIN = {
  read: 'BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY',
  write: 'BEGIN ISOLATION LEVEL READ COMMITTED READ WRITE',
} as const;

/** Names the boat for row security, and looks it up. */
const NAME_BOAT = `SELECT set_config('tidy_marlin.boat', $1, true), set_config('tidy_marlin.person', '', true),
  (SELECT json_build_object('id', id, 'name', name, 'homeWater', home_water, 'minutes', measuring_minutes)
   FROM boats WHERE id = $1::uuid) AS boat`;
/** Names who notes; somebody who is not of the crew is nobody. */
const NAME_PERSON = `SELECT set_config('tidy_marlin.person',
  coalesce((SELECT id::text FROM people WHERE boat_id = $1::uuid AND id = $2::uuid), ''), true)`;

/** A deadlock or a lost race for a snapshot: the same work may simply be done again. */
const AGAIN = new Set(['40001', '40P01']);
const TRIES = 4;

/**
 * The only way to the database. Runs work in one transaction of one boat: 'read' sees one snapshot and cannot write,
 * 'write' keeps everything or, when the work throws or gives a refusal (`ok: false`), nothing.
 *
 * @param boatId the boat; `NO_BOAT` for work that belongs to none
 * @param signal ends waiting for a connection, and the work between statements, when the one who asked has gone
 * @throws what the work throws; the first error is never hidden by a failing ROLLBACK
 */
export async function withBoat<T>(
  principal: Principal,
  boatId: string,
  mode: keyof typeof BEGIN,
  work: (db: BoatDb) => Promise<T>,
  signal?: AbortSignal,
): Promise<T> {
  for (let attempt = 1; ; attempt += 1) {
    try {
      return await once(principal, boatId, mode, work, signal);
    } catch (error) {
      if (attempt >= TRIES || !AGAIN.has(codeOf(error))) throw error;
    }
  }
}

async function once<T>(
  principal: Principal,
  boatId: string,
  mode: keyof typeof BEGIN,
  work: (db: BoatDb) => Promise<T>,
  signal?: AbortSignal,
): Promise<T> {
  signal?.throwIfAborted();
  const client = await database().connect();
  // A connection that breaks while it works says so to the statement; without a listener it would end the process too.
  const heard = (): void => undefined;
  client.on('error', heard);
  let broken = false;
  try {
    await client.query(BEGIN[mode]);
    const named = await client.query<{ boat: BoatDb['boat'] }>(NAME_BOAT, [boatId]);
    if (principal.personId !== null) await client.query(NAME_PERSON, [boatId, principal.personId]);
    const result = await work({ boatId, boat: named.rows[0]?.boat ?? null, ...inTurn(client, signal) });
    await client.query(isRefusal(result) ? 'ROLLBACK' : 'COMMIT');
    return result;
  } catch (error) {
    broken = await client.query('ROLLBACK').then(
      () => false,
      () => true,
    );
    throw error;
  } finally {
    client.off('error', heard);
    client.release(broken);
  }
}

/** Goes on in a boat that this very transaction has made. Only work without a boat can. */
export async function enterNewBoat(db: BoatDb, boatId: string): Promise<BoatDb> {
  if (db.boatId !== NO_BOAT) throw new Error('enterNewBoat: this transaction has a boat already');
  const named = await db.query<{ boat: BoatDb['boat'] }>(NAME_BOAT, [boatId]);
  return { ...db, boatId, boat: named.rows[0]?.boat ?? null };
}

function isRefusal(result: unknown): boolean {
  return typeof result === 'object' && result !== null && 'ok' in result && result.ok === false;
}

/** PostgreSQL's or the network's code of an error, or nothing. */
export function codeOf(error: unknown): string {
  return typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : '';
}

const names = new Map<string, string>();

/** A short name for the text of a statement; the texts are the literal ones of this program, so there are only so many. */
function nameOf(text: string): string {
  const known = names.get(text);
  if (known) return known;
  const name = createHash('sha256').update(text).digest('base64url');
  names.set(text, name);
  return name;
}

/** One client runs one statement at a time: statements asked for together wait for their turn. */
function inTurn(client: PoolClient, signal: AbortSignal | undefined): Queryable {
  let last: Promise<unknown> = Promise.resolve();
  return {
    query: <R extends QueryResultRow>(text: string, values?: readonly unknown[]) => {
      const run = (): Promise<QueryResult<R>> => {
        signal?.throwIfAborted();
        // Named, so that a connection plans a statement once: its plan often costs more than its rows.
        return client.query<R>({ name: nameOf(text), text, values: values as unknown[] });
      };
      const next = last.then(run, run);
      last = next.catch(() => undefined);
      return next;
    },
  };
}

/** The only row of a result. Throws when there is none: a programming error, not an outcome. */
export function onlyRow<R extends QueryResultRow>(result: QueryResult<R>): R {
  const [row] = result.rows;
  if (!row) throw new Error('onlyRow: the statement gave no row');
  return row;
}
