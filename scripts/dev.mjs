import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { dataFolder, startCluster } from './lib/cluster.mjs';
import { databaseEnv, prepareDatabase } from './lib/database.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { freePort } from './lib/postgres.mjs';
import { ensureDatabase } from './lib/roles.mjs';
import { packageProgram, ROOT, serverEnv } from './lib/run.mjs';

/** For work on the code: the development server on a cluster of its own, so that neither start nor stop touches the other's records. */
await ensurePackages();
const cluster = process.env.DATABASE_URL ? null : await startCluster(join(dataFolder(), 'dev'));
if (cluster) await ensureDatabase(cluster, 'tidy_marlin');
const env = cluster ? databaseEnv(cluster, 'tidy_marlin') : {};
prepareDatabase(env, ['--demo']);
const port = await freePort(3001);
const server = spawn(packageProgram('next'), ['dev', '-H', '127.0.0.1', '-p', String(port)], {
  cwd: ROOT,
  stdio: 'inherit',
  env: serverEnv(env, { NODE_ENV: 'development' }),
});
let stopping = false;
function stop(status) {
  if (stopping) return;
  stopping = true;
  server.kill('SIGTERM');
  cluster?.stop();
  process.exit(status);
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => stop(0));
server.on('exit', (code) => stop(code ?? 0));
