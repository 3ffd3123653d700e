import { chownSync, existsSync, readdirSync, readFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { ensureDebianPackage } from './packages.mjs';
import { runSync } from './run.mjs';

/** PostgreSQL refuses to run as root: it then runs as the user of Debian's package. */
export const asRoot = process.getuid?.() === 0;

function findPostgres() {
  const base = '/usr/lib/postgresql';
  if (!existsSync(base)) return null;
  const versions = readdirSync(base).sort((a, b) => Number(b) - Number(a));
  const found = versions.find((version) => existsSync(`${base}/${version}/bin/initdb`));
  return found ? `${base}/${found}/bin` : null;
}

/** Folder of PostgreSQL's programs, installed from Debian's packages when missing. */
export async function ensurePostgres() {
  await ensureDebianPackage('postgresql', () => findPostgres() !== null, 'keeps all records');
  return findPostgres();
}

/** Runs one of PostgreSQL's programs as the user who owns the cluster. */
export function runPostgres(program, args, options = {}) {
  return asRoot
    ? runSync('runuser', ['-u', 'postgres', '--', program, ...args], options)
    : runSync(program, args, options);
}

/** A port that nothing listens on, chosen by the system when `wanted` is 0 or taken. */
export function freePort(wanted = 0) {
  return new Promise((resolve, reject) => {
    const server = createServer();
    server.on('error', () => (wanted === 0 ? reject(new Error('no free port')) : resolve(freePort(0))));
    server.listen(wanted, '127.0.0.1', () => {
      const { port } = server.address();
      server.close(() => resolve(port));
    });
  });
}

export function passableForPostgres(folder) {
  return !asRoot || runSync('runuser', ['-u', 'postgres', '--', 'test', '-x', folder]).status === 0;
}

export function ownByPostgres(path) {
  if (!asRoot) return;
  const [, , uid, gid] = readFileSync('/etc/passwd', 'utf8')
    .split('\n')
    .find((line) => line.startsWith('postgres:'))
    .split(':');
  chownSync(path, Number(uid), Number(gid));
}
