import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { startCluster, throwAwayFolder } from './cluster.mjs';
import { databaseEnv, prepareDatabase } from './database.mjs';
import { ensureDebianPackage } from './packages.mjs';
import { freePort } from './postgres.mjs';
import { ensureDatabase } from './roles.mjs';
import { packageProgram, ROOT, serverEnv } from './run.mjs';

/** A throw-away cluster that ends with this process, and its folder. */
export async function testCluster() {
  const folder = throwAwayFolder();
  const cluster = await startCluster(folder, { throwAway: true });
  process.on('exit', () => cluster.stop());
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => process.exit(130));
  return { cluster, folder };
}

/** What tests on the database are told: the cluster's addresses by role. Each test file makes a database of its own. */
export function clusterEnv(cluster) {
  const addresses = ['administrator', 'owner', 'app'].map((role) => [role, cluster.url('postgres', role)]);
  return { TEST_CLUSTER: JSON.stringify(Object.fromEntries(addresses)) };
}

export async function ensureBrowser() {
  await ensureDebianPackage('chromium', () => existsSync('/usr/bin/chromium'), 'runs the tests of the interface');
}

/** A database with the demo boats for the tests through the interface. */
export async function demoDatabase(cluster) {
  await ensureDatabase(cluster, 'through_the_interface');
  const database = databaseEnv(cluster, 'through_the_interface');
  prepareDatabase(database, ['--demo']);
  return database;
}

/**
 * Serves the built application while work is done.
 *
 * @param work gets what the browser tests are told: the server's address and the database's
 */
export async function withServer(database, work) {
  const port = await freePort();
  const server = spawn(packageProgram('next'), ['start', '-H', '127.0.0.1', '-p', String(port)], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: serverEnv(database),
  });
  try {
    for (let attempt = 0; attempt < 300; attempt += 1) {
      const up = await fetch(`http://127.0.0.1:${port}/`).then(
        (response) => response.ok,
        () => false,
      );
      if (up) break;
      await new Promise((resolve) => setTimeout(resolve, 200));
    }
    await work({ BASE_URL: `http://localhost:${port}`, ...database });
  } finally {
    server.kill('SIGTERM');
  }
}
