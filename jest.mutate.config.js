import config from './jest.config.js';

const [core] = config.projects;
const SRC = '<rootDir>/packages/core/src';

/** The core's tests that a group of mutants is put to, as `tools/mutate.mjs` names them. */
export default {
  ...core,
  displayName: undefined,
  testTimeout: config.testTimeout,
  testMatch: (process.env.TRUG_MUTATE_TESTS ?? 'finish/bottle/bottle').split(',').map((name) => `${SRC}/${name}.spec.ts`),
};
