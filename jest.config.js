const plainTs = (decorators) => ['<rootDir>/tools/jest-esbuild.mjs', { decorators }];

const mapper = {
  '^(\\.{1,2}/.*)\\.js$': '$1',
  '^@trug/core$': '<rootDir>/packages/core/src/index.ts',
  '^@trug/core/(.+)$': '<rootDir>/packages/core/src/$1.ts',
  '^@trug/contract$': '<rootDir>/packages/contract/src/index.ts',
  '^@trug/contract/plain$': '<rootDir>/packages/contract/src/plain.ts',
};

/** Within a test's own realm each look at a global is slow, and the sums look at these millions of times. */
const USED_OFTEN = ['Math', 'Float64Array'];

const plain = (name, decorators) => ({
  displayName: name,
  rootDir: import.meta.dirname,
  roots: [`<rootDir>/packages/${name}/src`],
  testEnvironment: 'node',
  transform: { '^.+\\.ts$': plainTs(decorators) },
  moduleNameMapper: mapper,
  sandboxInjectedGlobals: USED_OFTEN,
});

export default {
  // Here and not within a project, where Jest takes no notice of it. Nothing is timed by it: it only ends what hangs, on a slow machine too.
  testTimeout: 120_000,
  // Jest leaves a core to itself, which with two of them halves the work done.
  maxWorkers: '100%',
  projects: [
    plain('core', false),
    plain('contract', true),
    plain('server', true),
    {
      displayName: 'web',
      rootDir: import.meta.dirname,
      roots: ['<rootDir>/packages/web/src'],
      preset: 'jest-preset-angular',
      sandboxInjectedGlobals: USED_OFTEN,
      setupFilesAfterEnv: ['<rootDir>/packages/web/jest.setup.ts'],
      transform: {
        '/packages/core/.+\\.ts$': plainTs(false),
        '/packages/contract/.+\\.ts$': plainTs(true),
        '^.+\\.(ts|js|mjs|html|svg)$': [
          'jest-preset-angular',
          { tsconfig: '<rootDir>/packages/web/tsconfig.jest.json', stringifyContentPathRegex: '\\.(html|svg)$' },
        ],
      },
      transformIgnorePatterns: ['node_modules/(?!.*\\.mjs$|(@angular|@ngrx|d3-|internmap|lucide|ulid|rxjs))'],
      moduleNameMapper: {
        ...mapper,
        // Workers do not run here: the same tasks are done at once.
        '/blend-solver$': '<rootDir>/packages/web/src/testing/instant-solver.ts',
        '/forecast-runner$': '<rootDir>/packages/web/src/testing/instant-forecast.ts',
      },
    },
  ],
};
