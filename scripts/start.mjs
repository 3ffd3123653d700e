import { spawn } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { parseArgs } from 'node:util';
import { dataFolder, ensurePostgres, freePort, startCluster } from './lib/cluster.mjs';
import { ensureDatabase, prepareDatabase } from './lib/database.mjs';
import { ensureBuild, ensurePackages } from './lib/packages.mjs';
import { packageProgram, QUIET_ENV, ROOT } from './lib/run.mjs';
import { phase, say, stopWith } from './lib/say.mjs';

const DATABASE = 'tidy_marlin';
const USUAL_PORT = 3000;

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

function isAlive(pid) {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
}

/** What a start says of itself while it runs: its own process, its web server's, its address. */
function readMark(mark) {
  try {
    return JSON.parse(readFileSync(mark, 'utf8'));
  } catch {
    // No start runs, or one died while writing this.
    return null;
  }
}

/** One start at a time: two would stop each other's database. A dead start's leftovers are cleared away. */
async function claimStart(mark) {
  const other = readMark(mark);
  if (other && isAlive(other.pid)) {
    stopWith(
      `Tidy Marlin is running already${other.url ? ` at ${other.url}` : ''} (process ${other.pid}). Stop it there with Ctrl-C.`,
    );
  }
  if (other?.serverPid) await endLeftover(other.serverPid);
  writeFileSync(mark, JSON.stringify({ pid: process.pid }));
}

/** Ends the web server that a killed start has left behind, after a look whether it is one. */
async function endLeftover(pid) {
  const isOurs = () => {
    try {
      return isAlive(pid) && readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('next');
    } catch {
      return false;
    }
  };
  for (const signal of ['SIGTERM', 'SIGKILL']) {
    if (!isOurs()) return;
    process.kill(pid, signal);
    for (let wait = 0; wait < 30 && isOurs(); wait += 1) await new Promise((resolve) => setTimeout(resolve, 100));
  }
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
  cluster?.stop();
  if (mark) rmSync(mark, { force: true });
});
const databaseUrl = cluster ? await ensureDatabase(cluster, DATABASE) : process.env.DATABASE_URL;
await phase('migrations and demo data', () => {
  const said = prepareDatabase(databaseUrl, [
    ...(options.reset ? ['--reset'] : []),
    ...(options.empty ? [] : ['--demo']),
  ]);
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
  env: { ...process.env, ...QUIET_ENV, DATABASE_URL: databaseUrl, NODE_ENV: 'production' },
});
if (mark) writeFileSync(mark, JSON.stringify({ pid: process.pid, serverPid: server.pid }));
server.on('exit', (code) => {
  if (stopping) return;
  say('The web server ended.');
  stopAll(code ?? 1);
});
await phase('first page', () => waitForPage(`${url.replace('localhost', '127.0.0.1')}/`, server));
if (mark) writeFileSync(mark, JSON.stringify({ pid: process.pid, serverPid: server.pid, url }));
say(`  in all: ${((performance.now() - started) / 1000).toFixed(1)} s`);
say(`\nOpen ${url}   (Ctrl-C stops everything)`);
