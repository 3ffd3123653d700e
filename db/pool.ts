import 'server-only';
import { Pool, types } from 'pg';

// Times travel as ISO text: the records are plain values that go to the browser as they are.
types.setTypeParser(types.builtins.TIMESTAMPTZ, (text) => new Date(text).toISOString());

declare global {
  var tidyMarlinPool: Pool | undefined;
}

function makePool(): Pool {
  const connectionString = process.env.DATABASE_URL;
  if (!connectionString) throw new Error('DATABASE_URL is not set: start the application with npm start');
  const pool = new Pool({
    connectionString,
    max: 8,
    connectionTimeoutMillis: 5_000,
    idleTimeoutMillis: 30_000,
    statement_timeout: 10_000,
    query_timeout: 12_000,
    lock_timeout: 5_000,
    idle_in_transaction_session_timeout: 15_000,
  });
  // A server that goes away while a client idles must not end the process.
  pool.on('error', (error) => console.error('database connection lost:', error.message));
  return pool;
}

/** The one pool of this process; kept over reloads of the code in development. */
export function database(): Pool {
  globalThis.tidyMarlinPool ??= makePool();
  return globalThis.tidyMarlinPool;
}
