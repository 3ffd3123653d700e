import { packageProgram, ROOT, runSync } from './run.mjs';
import { stopWith } from './say.mjs';

/** Makes sure that a database of this name exists in the cluster. */
export async function ensureDatabase(cluster, name) {
  const { default: pg } = await import('pg');
  const client = new pg.Client({ connectionString: cluster.url('postgres'), connectionTimeoutMillis: 10_000 });
  await client.connect();
  try {
    const there = await client.query('SELECT 1 FROM pg_database WHERE datname = $1', [name]);
    if (there.rowCount === 0) await client.query(`CREATE DATABASE ${client.escapeIdentifier(name)}`);
  } finally {
    await client.end();
  }
  return cluster.url(name);
}

/** Migrates a database, and with `--demo` or `--reset` fills or empties it: see scripts/prepare.ts. */
export function prepareDatabase(url, options = []) {
  const result = runSync(
    packageProgram('tsx'),
    ['--conditions=react-server', `${ROOT}/scripts/prepare.ts`, ...options],
    {
      env: { ...process.env, DATABASE_URL: url },
    },
  );
  if (result.status !== 0) stopWith(`The database could not be prepared:\n${result.output}`);
  return result.output.trim();
}
