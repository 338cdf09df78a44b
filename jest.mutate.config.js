import config from './jest.config.js';

const [core] = config.projects;

/** The core's tests for the mutants: without the long runs over made-up seasons, of which each mutant would run thousands. */
export default {
  ...core,
  displayName: undefined,
  testTimeout: config.testTimeout,
  testPathIgnorePatterns: [
    '/node_modules/',
    'sealing-properties',
    'noisy-logs',
    'families.spec',
    'words-agree',
    '/forecast/',
    'fizz-properties',
    'solve-blend',
    'reachable-region',
  ],
};
