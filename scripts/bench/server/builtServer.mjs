import { spawn } from 'node:child_process';
import { startCluster, throwAwayFolder } from '../../lib/cluster.mjs';
import { databaseEnv, prepareDatabase } from '../../lib/database.mjs';
import { ensureBuild } from '../../lib/build.mjs';
import { freePort } from '../../lib/postgres.mjs';
import { ensureDatabase } from '../../lib/roles.mjs';
import { packageProgram, ROOT, serverEnv } from '../../lib/run.mjs';
import { get, pause } from './client.mjs';

/** Runs work on the built application, served from a throw-away database that `prepare` has filled (see scripts/prepare.ts). */
export async function withBuiltServer(prepare, work) {
  await ensureBuild();
  const cluster = await startCluster(throwAwayFolder(), { throwAway: true });
  await ensureDatabase(cluster, 'bench');
  const database = databaseEnv(cluster, 'bench');
  prepareDatabase(database, prepare);
  const port = await freePort();
  const base = `http://localhost:${port}`;
  const server = spawn(packageProgram('next'), ['start', '-H', '127.0.0.1', '-p', String(port)], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', process.env.SHOW_SERVER ? 'inherit' : 'ignore'],
    env: serverEnv(database),
  });
  const isUp = () =>
    get(base, '/').then(
      ({ status }) => status === 200,
      () => false,
    );
  try {
    for (let wait = 0; wait < 200 && !(await isUp()); wait += 1) await pause(100);
    return await work(base);
  } finally {
    server.kill('SIGTERM');
    cluster.stop();
  }
}
