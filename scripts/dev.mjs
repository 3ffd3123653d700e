import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { dataFolder, freePort, startCluster } from './lib/cluster.mjs';
import { ensureDatabase, prepareDatabase } from './lib/database.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { packageProgram, QUIET_ENV, ROOT } from './lib/run.mjs';

/** For work on the code: the development server on a cluster of its own, so that neither start nor stop touches the other's records. */
await ensurePackages();
const cluster = process.env.DATABASE_URL ? null : await startCluster(join(dataFolder(), 'dev'));
const url = cluster ? await ensureDatabase(cluster, 'tidy_marlin') : process.env.DATABASE_URL;
prepareDatabase(url, ['--demo']);
const port = await freePort(3001);
const server = spawn(packageProgram('next'), ['dev', '-H', '127.0.0.1', '-p', String(port)], {
  cwd: ROOT,
  stdio: 'inherit',
  env: { ...process.env, ...QUIET_ENV, DATABASE_URL: url },
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
