import { runner } from 'node-pg-migrate';
import { Client } from 'pg';
import { database } from '../db/pool';
import { loadDemoBoat } from '../demo/loadDemo';
import { capeTorrin } from '../demo/capeTorrin';
import { ormundSound } from '../demo/ormundSound';

/**
 * Brings a database up to date: `prepare.ts [--reset] [--demo]`. Migrations always run. --demo loads
 * the demo boats when there is no boat yet; --reset empties the database first.
 */
async function main(options: readonly string[]): Promise<void> {
  const databaseUrl = process.env.DATABASE_URL;
  if (!databaseUrl) throw new Error('DATABASE_URL is not set');
  if (options.includes('--reset')) await emptyDatabase(databaseUrl);
  const applied = await runner({
    databaseUrl,
    dir: new URL('../db/migrations', import.meta.url).pathname,
    direction: 'up',
    migrationsTable: 'migrations',
    checkOrder: true,
    log: () => undefined,
  });
  if (applied.length > 0) console.log(`migrations applied: ${applied.map((migration) => migration.name).join(', ')}`);
  if (options.includes('--demo')) await loadDemoIfEmpty();
}

async function emptyDatabase(connectionString: string): Promise<void> {
  const client = new Client({ connectionString });
  await client.connect();
  try {
    await client.query('DROP SCHEMA public CASCADE');
    await client.query('CREATE SCHEMA public');
  } finally {
    await client.end();
  }
}

async function loadDemoIfEmpty(): Promise<void> {
  const pool = database();
  try {
    const boats = await pool.query<{ n: string }>('SELECT count(*) AS n FROM boats');
    if (Number(boats.rows[0]?.n) > 0) return;
    await loadDemoBoat(ormundSound);
    await loadDemoBoat(capeTorrin);
    console.log('demo data loaded');
  } finally {
    await pool.end();
  }
}

await main(process.argv.slice(2));
