import { readFileSync, rmSync, existsSync } from 'node:fs';
import { spawn } from 'node:child_process';
import { startCluster, throwAwayFolder } from './lib/cluster.mjs';
import { databaseEnv, prepareDatabase } from './lib/database.mjs';
import { ensureBuild, ensureDebianPackage, ensurePackages } from './lib/packages.mjs';
import { freePort } from './lib/postgres.mjs';
import { ensureDatabase } from './lib/roles.mjs';
import { packageProgram, ROOT, runShown, serverEnv } from './lib/run.mjs';
import { phase, say } from './lib/say.mjs';

/**
 * Everything that must hold, in one command: types, lint, layers, unused code, unit, component and
 * integration tests, the build, and the built application through a real browser. The last line sums up.
 */
const tally = { passed: 0, failed: 0 };

function count(passed, failed) {
  tally.passed += passed;
  tally.failed += failed;
}

async function step(name, program, args) {
  const status = await phase(name, () => runShown(packageProgram(program), args));
  count(status === 0 ? 1 : 0, status === 0 ? 0 : 1);
}

/** Runs a test runner and counts the tests of its JSON report; a runner that gave none is a failure. */
async function runner(name, program, args, env, report, read) {
  rmSync(report, { force: true });
  const status = await phase(name, () => runShown(packageProgram(program), args, env));
  if (!existsSync(report)) {
    say(`${name} gave no report (status ${status}).`);
    return count(0, 1);
  }
  const [passed, failed] = read(JSON.parse(readFileSync(report, 'utf8')));
  count(passed, status !== 0 && failed === 0 ? 1 : failed);
}

async function withServer(database, port, work) {
  const server = spawn(packageProgram('next'), ['start', '-H', '127.0.0.1', '-p', String(port)], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: serverEnv(database),
  });
  try {
    for (let attempt = 0; attempt < 300; attempt += 1) {
      const up = await fetch(`http://127.0.0.1:${port}/`).then(
        (response) => response.ok,
        () => false,
      );
      if (up) break;
      await new Promise((resolve) => setTimeout(resolve, 200));
    }
    await work();
  } finally {
    server.kill('SIGTERM');
  }
}

/** The addresses of the throw-away cluster by role: each test file makes a database of its own. */
function testCluster(of) {
  return Object.fromEntries(['administrator', 'owner', 'app'].map((role) => [role, of.url('postgres', role)]));
}

await phase('npm packages', () => ensurePackages());
await ensureDebianPackage('chromium', () => existsSync('/usr/bin/chromium'), 'runs the tests of the interface');
const folder = throwAwayFolder();
const cluster = await phase('throw-away database', () => startCluster(folder, { throwAway: true }));
process.on('exit', () => cluster.stop());
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => process.exit(130));

await step('types', 'tsc', ['--noEmit']);
await step('lint', 'eslint', ['.', '--max-warnings', '0']);
await step('layers', 'depcruise', [
  '--config',
  '.dependency-cruiser.cjs',
  'app',
  'components',
  'core',
  'compute',
  'db',
  'instruments',
  'usecases',
  'workers',
]);
await step('unused code', 'knip', []);
const jestReport = `${folder}/jest.json`;
await runner(
  'unit, component and integration tests',
  'jest',
  ['--json', `--outputFile=${jestReport}`, '--silent'],
  { TEST_CLUSTER: JSON.stringify(testCluster(cluster)) },
  jestReport,
  (report) => [report.numPassedTests, report.numFailedTests + report.numRuntimeErrorTestSuites],
);
await phase('build', () => ensureBuild());
count(1, 0);
await ensureDatabase(cluster, 'through_the_interface');
const database = databaseEnv(cluster, 'through_the_interface');
await phase('demo data', () => prepareDatabase(database, ['--demo']));
const port = await freePort();
const browserReport = `${folder}/playwright.json`;
await withServer(database, port, () =>
  runner(
    'through the interface',
    'playwright',
    ['test'],
    { BASE_URL: `http://localhost:${port}`, ...database, PLAYWRIGHT_JSON_OUTPUT_NAME: browserReport },
    browserReport,
    (report) => [report.stats.expected + report.stats.flaky, report.stats.unexpected],
  ),
);
cluster.stop();
say(`\n${tally.passed} passed, ${tally.failed} failed`);
process.exit(tally.failed === 0 ? 0 : 1);
