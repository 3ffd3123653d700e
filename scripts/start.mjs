import { spawn } from 'node:child_process';
import { mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { parseArgs } from 'node:util';
import { dataFolder, startCluster } from './lib/cluster.mjs';
import { databaseEnv, prepareDatabase } from './lib/database.mjs';
import { ensureBuild } from './lib/build.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { ensurePostgres, freePort } from './lib/postgres.mjs';
import { end, isSame, markOf } from './lib/processes.mjs';
import { ensureDatabase } from './lib/roles.mjs';
import { packageProgram, ROOT, serverEnv } from './lib/run.mjs';
import { phase, say, stopForError, stopWith } from './lib/say.mjs';

const DATABASE = 'tidy_marlin';
const USUAL_PORT = 3000;
/** How often a look is taken whether the database is there (ms). */
const WATCH_MS = 1500;

process.on('uncaughtException', stopForError);
process.on('unhandledRejection', stopForError);

function readOptions() {
  try {
    const { values } = parseArgs({
      options: {
        port: { type: 'string' },
        empty: { type: 'boolean', default: false },
        'reset-demo': { type: 'boolean', default: false },
        yes: { type: 'boolean', default: false },
      },
    });
    const port = values.port === undefined ? null : Number(values.port);
    if (port !== null && !(Number.isInteger(port) && port > 0 && port < 65536))
      stopWith('--port wants a number from 1 to 65535.');
    return { port, empty: values.empty, reset: values['reset-demo'], yes: values.yes };
  } catch (error) {
    return stopWith(`${error.message}\nOptions: --port N, --empty, --reset-demo (--yes to skip its question).`);
  }
}

/** --reset-demo deletes every record, so it asks first. */
async function confirmReset(yes) {
  if (yes) return;
  if (!process.stdin.isTTY) stopWith('--reset-demo deletes every record and asks first; without a keyboard add --yes.');
  const terminal = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await terminal.question(
    'This deletes every record of every boat and loads the demo data again. Type "delete" to go on: ',
  );
  terminal.close();
  if (answer.trim() !== 'delete') stopWith('Nothing was deleted.');
}

/** What a start says of itself while it runs: its own process, its web server's, its address. */
function readMark(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    // No start runs, or one died while writing this.
    return null;
  }
}

function writeMark(file, mark) {
  writeFileSync(`${file}.new`, JSON.stringify(mark));
  renameSync(`${file}.new`, file);
}

/** One start at a time: two would stop each other's database. A dead start's web server is ended, and nobody else's. */
async function claimStart(file) {
  const other = readMark(file);
  if (isSame(other?.start)) {
    const where = other.url ? ` at ${other.url}` : '';
    stopWith(`Tidy Marlin is running already${where} (process ${other.start.pid}). Stop it there with Ctrl-C.`);
  }
  if (other?.server) await end(other.server);
  writeMark(file, { start: markOf(process.pid) });
}

async function waitForPage(url, server) {
  for (let attempt = 0; attempt < 600; attempt += 1) {
    if (server.exitCode !== null) stopWith('The web server ended before its first page. See the lines above.');
    try {
      const response = await fetch(url);
      await response.text();
      if (response.status < 500 && server.exitCode === null) return;
    } catch {
      // Not listening yet.
    }
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  stopWith('The web server gave no page within a minute.');
}

const options = readOptions();
const started = performance.now();
say('Tidy Marlin');
if (options.reset) await confirmReset(options.yes);
await phase('npm packages', () => ensurePackages());

if (process.env.DATABASE_URL && !process.env.DATABASE_OWNER_URL) {
  stopWith(
    'With a PostgreSQL of your own, DATABASE_URL is the address of the role tidy_marlin_app, and DATABASE_OWNER_URL that of the ' +
      'owner, who migrates. See the README.',
  );
}
const own = process.env.DATABASE_URL ? null : dataFolder();
const mark = own && join(own, 'running.json');
if (own) {
  mkdirSync(own, { recursive: true });
  await claimStart(mark);
}
let cluster = null;
let server = null;
let stopping = false;

function stopAll(status) {
  if (stopping) return;
  stopping = true;
  if (server && server.exitCode === null) server.kill('SIGTERM');
  cluster?.stop();
  if (mark) rmSync(mark, { force: true });
  process.exit(status);
}
process.on('SIGINT', () => stopAll(0));
process.on('SIGTERM', () => stopAll(0));
process.on('SIGHUP', () => stopAll(0));

if (own) {
  await phase('PostgreSQL', () => ensurePostgres());
  cluster = await phase('private database', () => startCluster(own));
}
process.on('exit', () => {
  // A start that ends with a sentence leaves nothing running behind it.
  if (stopping) return;
  server?.kill('SIGTERM');
  cluster?.stop();
  if (mark) rmSync(mark, { force: true });
});
if (cluster) await ensureDatabase(cluster, DATABASE);
const env = cluster ? databaseEnv(cluster, DATABASE) : {};
await phase('migrations and demo data', () => {
  const said = prepareDatabase(env, [...(options.reset ? ['--reset'] : []), ...(options.empty ? [] : ['--demo'])]);
  if (said) say(`    ${said.split('\n').join('\n    ')}`);
});
await phase('build', () => ensureBuild());

const port = options.port ?? (await freePort(USUAL_PORT));
if ((await freePort(port)) !== port)
  stopWith(`Port ${port} is taken by another program. Choose one with --port N, or leave it out.`);
const url = `http://localhost:${port}`;
server = spawn(packageProgram('next'), ['start', '-H', '127.0.0.1', '-p', String(port)], {
  cwd: ROOT,
  stdio: ['ignore', 'ignore', 'inherit'],
  env: serverEnv(env),
});
const running = { start: markOf(process.pid), server: markOf(server.pid) };
if (mark) writeMark(mark, running);
server.on('exit', (code) => {
  if (stopping) return;
  say('The web server ended.');
  stopAll(code ?? 1);
});
await phase('first page', () => waitForPage(`${url.replace('localhost', '127.0.0.1')}/`, server));
if (mark) writeMark(mark, { ...running, url });
say(`  in all: ${((performance.now() - started) / 1000).toFixed(1)} s`);
say(`\nOpen ${url}   (Ctrl-C stops everything)`);
if (cluster) await watchDatabase(cluster);

/** Looks after the database while the server runs: gone, it is brought back, and pages say so meanwhile. */
async function watchDatabase(watched) {
  while (!stopping) {
    await new Promise((resolve) => setTimeout(resolve, WATCH_MS));
    if (stopping || (await watched.isUp()) || (await watched.isUp())) continue;
    if (stopping) return;
    say('The database has gone; it is brought back.');
    await watched.bringBack();
    say('The database is back.');
  }
}
