import { execFileSync } from 'node:child_process';
import { Client, type QueryResult, type QueryResultRow } from 'pg';
import { database } from '../../db/pool';
import { closeWorkers } from '../../usecases/workers/pool';
import { addressOf, newDatabase } from '../cluster';

let ownerClient: Client | undefined;

/**
 * A database of its own for one test file. The application's pool uses it, as the application, until `closeDatabase`.
 *
 * @returns its name
 */
export async function freshDatabase(): Promise<string> {
  const name = await newDatabase('migrated');
  process.env.DATABASE_URL = addressOf(name, 'app');
  ownerClient = new Client({ connectionString: addressOf(name, 'owner') });
  await ownerClient.connect();
  return name;
}

/** Runs a statement as the owner, who passes by row security: tests look at the tables with it. */
export async function asOwner<R extends QueryResultRow>(text: string, values: unknown[] = []): Promise<QueryResult<R>> {
  if (!ownerClient) throw new Error('asOwner: there is no database yet');
  return ownerClient.query<R>(text, values);
}

/**
 * Runs the migrations as a shell would, since the migration library cannot be loaded into the test runner.
 *
 * @param steps how many to take; all of them when left out
 * @returns how many were taken
 */
export async function migrate(databaseUrl: string, direction: 'up' | 'down', steps?: number): Promise<number> {
  const before = await appliedMigrations(databaseUrl);
  const options = ['--migrations-dir', 'db/migrations', '--migrations-table', 'migrations'];
  execFileSync(
    'node_modules/.bin/node-pg-migrate',
    [direction, ...(steps === undefined ? [] : [String(steps)]), ...options],
    {
      env: { ...process.env, DATABASE_URL: databaseUrl },
      stdio: 'pipe',
      timeout: 60_000,
    },
  );
  return Math.abs((await appliedMigrations(databaseUrl)) - before);
}

async function appliedMigrations(connectionString: string): Promise<number> {
  const client = new Client({ connectionString });
  await client.connect();
  try {
    const table = await client.query<{ there: string | null }>("SELECT to_regclass('public.migrations') AS there");
    if (!table.rows[0]?.there) return 0;
    const rows = await client.query<{ n: string }>('SELECT count(*) AS n FROM migrations');
    return Number(rows.rows[0]?.n);
  } finally {
    await client.end();
  }
}

/** Closes the application's pool, so that the test process can end. */
export async function closeDatabase(): Promise<void> {
  await closeWorkers();
  await ownerClient?.end();
  await database().end();
  globalThis.tidyMarlinPool = undefined;
}
