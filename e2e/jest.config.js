export default {
  rootDir: import.meta.dirname,
  roots: ['<rootDir>/flows'],
  testEnvironment: 'node',
  globalSetup: '<rootDir>/support/make-season.ts',
  testMatch: ['**/*.spec.ts'],
  testTimeout: 600_000,
  // Twice as many as a small machine has cores: a third of a flow is waiting, as a finger does between two presses.
  maxWorkers: 4,
  // What was filed is worked out again by the core itself.
  moduleNameMapper: { '^(\\.{1,2}/.*)\\.js$': '$1', '^@trug/core$': '<rootDir>/../packages/core/src/index.ts' },
  transform: { '^.+\\.ts$': ['<rootDir>/../tools/jest-esbuild.mjs', { decorators: false }] },
};
