import { execFileSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { Client } from 'pg';
import { database } from '../../db/pool';

/**
 * A database of its own for one test file, in the throw-away cluster that `npm test` starts.
 *
 * @returns its address; the application's pool uses it until `dropDatabase`
 */
export async function freshDatabase(): Promise<string> {
  const cluster = process.env.TEST_CLUSTER_URL;
  if (!cluster) throw new Error('TEST_CLUSTER_URL is not set: run these tests with npm test');
  const name = `test_${randomBytes(6).toString('hex')}`;
  const admin = new Client({ connectionString: cluster });
  await admin.connect();
  await admin.query(`CREATE DATABASE ${admin.escapeIdentifier(name)}`);
  await admin.end();
  const url = new URL(cluster);
  url.pathname = `/${name}`;
  process.env.DATABASE_URL = url.href;
  await migrate(url.href, 'up');
  return url.href;
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
  await database().end();
  globalThis.tidyMarlinPool = undefined;
}
