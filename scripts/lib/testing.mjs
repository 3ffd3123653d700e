import { existsSync } from 'node:fs';
import { startCluster, throwAwayFolder } from './cluster.mjs';
import { databaseEnv, prepareDatabase } from './database.mjs';
import { ensureDebianPackage } from './packages.mjs';
import { ensureDatabase } from './roles.mjs';

/** A throw-away cluster that ends with this process, and its folder. In it stands a migrated database that tests copy. */
export async function testCluster() {
  const folder = throwAwayFolder();
  const cluster = await startCluster(folder, { throwAway: true });
  process.on('exit', () => cluster.stop());
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => process.exit(130));
  await databaseToCopy(cluster, 'migrated');
  return { cluster, folder };
}

/** A database that tests copy, since nobody is connected to it. */
async function databaseToCopy(cluster, name, options) {
  await ensureDatabase(cluster, name);
  prepareDatabase(databaseEnv(cluster, name), options);
}

/** What tests on the database are told: the cluster's addresses by role. Each test file copies a database for itself. */
export function clusterEnv(cluster) {
  const addresses = ['administrator', 'owner', 'app'].map((role) => [role, cluster.url('postgres', role)]);
  return { TEST_CLUSTER: JSON.stringify(Object.fromEntries(addresses)) };
}

export async function ensureBrowser() {
  await ensureDebianPackage('chromium', () => existsSync('/usr/bin/chromium'), 'runs the tests of the interface');
}

/** The demo boats, which each file of the tests through the interface has for itself. */
export async function demoToCopy(cluster) {
  await databaseToCopy(cluster, 'demo', ['--demo']);
}
