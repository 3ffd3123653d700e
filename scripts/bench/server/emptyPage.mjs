import { spawn } from 'node:child_process';
import { freePort } from '../../lib/postgres.mjs';
import { packageProgram, ROOT, runSync } from '../../lib/run.mjs';
import { get, pause } from './client.mjs';

const FOLDER = `${ROOT}/scripts/bench/emptyPage`;

/** Builds and serves an empty page of the same framework, as the measure beside every page of ours. */
export async function withEmptyPage(work) {
  const env = { ...process.env, NEXT_TELEMETRY_DISABLED: '1' };
  const built = runSync(packageProgram('next'), ['build'], { cwd: FOLDER, env });
  if (built.status !== 0) throw new Error(`The empty page could not be built:\n${built.output}`);
  const port = await freePort();
  const base = `http://localhost:${port}`;
  const server = spawn(packageProgram('next'), ['start', '-H', '127.0.0.1', '-p', String(port)], {
    cwd: FOLDER,
    stdio: 'ignore',
    env,
  });
  try {
    for (let wait = 0; wait < 100; wait += 1) {
      if (
        await get(base, '/').then(
          ({ status }) => status === 200,
          () => false,
        )
      )
        break;
      await pause(100);
    }
    return await work(base);
  } finally {
    server.kill('SIGTERM');
  }
}
