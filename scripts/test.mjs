import { readFileSync, rmSync, existsSync } from 'node:fs';
import { ensureBuild } from './lib/build.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { packageProgram, runShown } from './lib/run.mjs';
import { phase, say } from './lib/say.mjs';
import { clusterEnv, demoToCopy, ensureBrowser, testCluster } from './lib/testing.mjs';

/**
 * Everything that must hold, in one command: types, lint, layers, unused code, unit, component and
 * integration tests, the build, and the built application through a real browser. The last line sums up.
 */
const tally = { passed: 0, failed: 0 };

const LAYERS = ['app', 'components', 'core', 'compute', 'db', 'instruments', 'usecases', 'workers'];

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

await phase('npm packages', () => ensurePackages());
await ensureBrowser();
const { cluster, folder } = await phase('throw-away database', () => testCluster());

// Each of these keeps one core busy. Types come after the build, which writes down the types of the routes.
await Promise.all([
  (async () => {
    await step('lint', 'eslint', ['.', '--max-warnings', '0']);
    await step('layers', 'depcruise', ['--config', '.dependency-cruiser.cjs', ...LAYERS]);
    await step('unused code', 'knip', []);
  })(),
  (async () => {
    await phase('build', () => ensureBuild());
    count(1, 0);
    await step('types', 'tsc', ['--noEmit']);
  })(),
]);
const jestReport = `${folder}/jest.json`;
await runner(
  'unit, component and integration tests',
  'jest',
  ['--json', `--outputFile=${jestReport}`, '--silent', '--maxWorkers=100%'],
  clusterEnv(cluster),
  jestReport,
  (report) => [report.numPassedTests, report.numFailedTests + report.numRuntimeErrorTestSuites],
);
await phase('demo data', () => demoToCopy(cluster));
const browserReport = `${folder}/playwright.json`;
await runner(
  'through the interface',
  'playwright',
  ['test'],
  { ...clusterEnv(cluster), PLAYWRIGHT_JSON_OUTPUT_NAME: browserReport },
  browserReport,
  (report) => [report.stats.expected + report.stats.flaky, report.stats.unexpected],
);
cluster.stop();
say(`\n${tally.passed} passed, ${tally.failed} failed`);
process.exit(tally.failed === 0 ? 0 : 1);
