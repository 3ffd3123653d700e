import { packageProgram, ROOT, runSync } from './run.mjs';
import { stopWith } from './say.mjs';

/** The addresses of a database by role, as the server and the scripts read them from their environment. */
export function databaseEnv(cluster, name) {
  return { DATABASE_URL: cluster.url(name, 'app'), DATABASE_OWNER_URL: cluster.url(name, 'owner') };
}

/** Migrates a database, and with `--demo` or `--reset` fills or empties it: see scripts/prepare.ts. */
export function prepareDatabase(env, options = []) {
  const result = runSync(
    packageProgram('tsx'),
    ['--conditions=react-server', `${ROOT}/scripts/prepare.ts`, ...options],
    { env: { ...process.env, ...env } },
  );
  if (result.status !== 0) stopWith(`The database could not be prepared:\n${result.output}`);
  return result.output.trim();
}
