import { runner } from 'node-pg-migrate';
import { Client } from 'pg';
import { database } from '../db/pool';
import { listBoats } from '../db/queries/boats';
import { NO_BOAT, NOBODY, withBoat } from '../db/withBoat';
import { loadDemo } from '../demo/loadDemo';
import { capeTorrin } from '../demo/capeTorrin';
import { ormundSound } from '../demo/ormundSound';

/**
 * Brings a database up to date, as its owner: `prepare.ts [--reset] [--demo]`. Migrations always run. --demo loads the demo
 * boats, as the application, when there is no boat yet; --reset empties the database first.
 */
async function main(options: readonly string[]): Promise<void> {
  const databaseUrl = process.env.DATABASE_OWNER_URL;
  if (!databaseUrl) throw new Error('DATABASE_OWNER_URL is not set');
  if (options.includes('--reset')) await asOwner(databaseUrl, emptyDatabase);
  const applied = await runner({
    databaseUrl,
    dir: new URL('../db/migrations', import.meta.url).pathname,
    direction: 'up',
    migrationsTable: 'migrations',
    checkOrder: true,
    log: () => undefined,
  });
  if (applied.length > 0) console.log(`migrations applied: ${applied.map((migration) => migration.name).join(', ')}`);
  await asOwner(databaseUrl, forgetOldKeys);
  if (options.includes('--demo')) await loadDemoIfEmpty();
}

async function asOwner(connectionString: string, work: (owner: Client) => Promise<void>): Promise<void> {
  const owner = new Client({ connectionString });
  await owner.connect();
  try {
    await work(owner);
  } finally {
    await owner.end();
  }
}

async function emptyDatabase(owner: Client): Promise<void> {
  await owner.query('DROP SCHEMA public CASCADE');
  await owner.query('CREATE SCHEMA public');
}

/** Nobody sends an act again after a month. */
async function forgetOldKeys(owner: Client): Promise<void> {
  await owner.query("DELETE FROM once_keys WHERE noted_at < now() - interval '30 days'");
}

async function loadDemoIfEmpty(): Promise<void> {
  try {
    const boats = await withBoat(NOBODY, NO_BOAT, 'read', listBoats);
    if (boats.length > 0) return;
    await loadDemo([ormundSound, capeTorrin]);
    console.log('demo data loaded');
  } finally {
    await database().end();
  }
}

await main(process.argv.slice(2));
