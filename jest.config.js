const tsJest = (decorators) => [
  'ts-jest',
  {
    diagnostics: false,
    tsconfig: {
      target: 'ES2022',
      module: 'CommonJS',
      moduleResolution: 'node',
      ignoreDeprecations: '5.0',
      isolatedModules: true,
      esModuleInterop: true,
      experimentalDecorators: decorators,
      useDefineForClassFields: !decorators,
    },
  },
];

const mapper = {
  '^(\\.{1,2}/.*)\\.js$': '$1',
  '^@trug/core$': '<rootDir>/packages/core/src/index.ts',
  '^@trug/core/(.+)$': '<rootDir>/packages/core/src/$1.ts',
  '^@trug/contract$': '<rootDir>/packages/contract/src/index.ts',
  '^@trug/contract/plain$': '<rootDir>/packages/contract/src/plain.ts',
};

const plain = (name, decorators) => ({
  displayName: name,
  rootDir: import.meta.dirname,
  roots: [`<rootDir>/packages/${name}/src`],
  testEnvironment: 'node',
  transform: { '^.+\\.ts$': tsJest(decorators) },
  moduleNameMapper: mapper,
  // Within a test's own realm each look at a global is slow, and the sums look at these millions of times.
  sandboxInjectedGlobals: ['Math', 'Float64Array'],
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
      setupFilesAfterEnv: ['<rootDir>/packages/web/jest.setup.ts'],
      transform: {
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
