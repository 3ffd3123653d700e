import config from '../jest.config.mjs';

/** The tests of computation alone, in the environment that tells the mutation tool which test runs which line. */
const unit = config.projects.find(({ displayName }) => displayName === 'unit');

const mutated = {
  ...unit,
  displayName: undefined,
  rootDir: '..',
  testMatch: [`<rootDir>/${process.env.MUTATE_TESTS}/**/*.test.ts`],
  testEnvironment: '@stryker-mutator/jest-runner/jest-env/node',
};

export default mutated;
