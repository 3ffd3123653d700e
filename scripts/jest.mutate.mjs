import config from '../jest.config.mjs';

/** The tests of computation alone, in the environment that tells the mutation tool which test runs which line. */
const [{ displayName: _, ...unit }] = config.projects;

const testMatch = ['<rootDir>/{core,compute,instruments}/**/*.test.ts'];

export default { ...unit, testMatch, rootDir: '..', testEnvironment: '@stryker-mutator/jest-runner/jest-env/node' };
