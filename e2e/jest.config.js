export default {
  rootDir: import.meta.dirname,
  roots: ['<rootDir>/flows'],
  testEnvironment: 'node',
  testMatch: ['**/*.spec.ts'],
  testTimeout: 600_000,
  maxWorkers: 2,
  // What was filed is worked out again by the core itself.
  moduleNameMapper: { '^(\\.{1,2}/.*)\\.js$': '$1', '^@trug/core$': '<rootDir>/../packages/core/src/index.ts' },
  transform: {
    '^.+\\.ts$': [
      'ts-jest',
      {
        diagnostics: false,
        tsconfig: { target: 'ES2022', module: 'CommonJS', moduleResolution: 'node', ignoreDeprecations: '5.0', isolatedModules: true, esModuleInterop: true },
      },
    ],
  },
};
