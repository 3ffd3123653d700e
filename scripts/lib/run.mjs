import { spawn, spawnSync } from 'node:child_process';

export const ROOT = new URL('../..', import.meta.url).pathname.replace(/\/$/, '');

/** Settings that every child gets: no telemetry, plain output. */
export const QUIET_ENV = { NEXT_TELEMETRY_DISABLED: '1', DO_NOT_TRACK: '1' };

/** Runs a program to its end and gives its status and output; never throws. */
export function runSync(program, args, options = {}) {
  const result = spawnSync(program, args, { cwd: ROOT, encoding: 'utf8', maxBuffer: 64 * 1024 * 1024, ...options });
  return {
    status: result.status ?? 1,
    output: `${result.stdout ?? ''}${result.stderr ?? ''}${result.error ? String(result.error.message) : ''}`,
  };
}

/** Runs a program with the person's own terminal and gives its exit status. */
export function runShown(program, args, env = {}) {
  return new Promise((resolve) => {
    const child = spawn(program, args, {
      cwd: ROOT,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, ...QUIET_ENV, ...env },
    });
    child.on('error', () => resolve(127));
    child.on('exit', (code) => resolve(code ?? 1));
  });
}

/** A program of this project's own packages. */
export function packageProgram(name) {
  return `${ROOT}/node_modules/.bin/${name}`;
}

/** The environment of the web server: the application's own address of the database, and never the owner's. */
export function serverEnv(database, extra = {}) {
  const env = { ...process.env, ...QUIET_ENV, ...database, NODE_ENV: 'production', ...extra };
  delete env.DATABASE_OWNER_URL;
  return env;
}
