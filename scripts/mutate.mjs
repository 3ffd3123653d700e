import { spawnSync } from 'node:child_process';
import { mkdirSync, writeFileSync } from 'node:fs';
import { packageProgram, ROOT } from './lib/run.mjs';

/**
 * `npm run mutate -- core/spool …`: changes the code of these folders in every small way, and says which changes no unit test
 * notices. What was worked out before is kept in `data/mutation`, so that only what has changed since is tried again.
 * `--own` asks the folder's own tests alone: stricter, and the only way that is quick where everything rests on a folder.
 */
const own = process.argv.includes('--own');
const folders = process.argv.slice(2).filter((argument) => argument !== '--own');
if (folders.length === 0) {
  console.error('Name a folder of the core: npm run mutate -- core/spool');
  process.exit(2);
}

mkdirSync(new URL('../data/mutation', import.meta.url), { recursive: true });
for (const folder of folders) {
  const name = folder.replaceAll('/', '-') + (own ? '-own' : '');
  const kept = `data/mutation/${name}`;
  const config = `data/mutation/${name}.config.json`;
  writeFileSync(
    new URL(`../${config}`, import.meta.url),
    JSON.stringify({
      testRunner: 'jest',
      jest: { projectType: 'custom', configFile: 'scripts/jest.mutate.mjs', enableFindRelatedTests: true },
      coverageAnalysis: 'perTest',
      mutate: [`${folder}/**/*.ts`, '!**/*.test.ts'],
      // Words of an error that is thrown are for people, and no behaviour.
      mutator: { excludedMutations: ['StringLiteral'] },
      ignoreStatic: true,
      incremental: true,
      incrementalFile: `${kept}.json`,
      tempDirName: 'data/mutation/work',
      reporters: ['clear-text'],
      clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
      concurrency: 2,
      timeoutMS: 20_000,
      thresholds: { high: 90, low: 80, break: null },
      allowConsoleColors: false,
      checkers: [],
      plugins: ['@stryker-mutator/jest-runner'],
      ignorePatterns: ['data', '.next', 'docs', 'test-results'],
    }),
  );
  const { status } = spawnSync(packageProgram('stryker'), ['run', config], {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, MUTATE_TESTS: own ? folder : '{core,compute,instruments}' },
  });
  if (status !== 0) process.exit(status ?? 1);
}
