import angular from 'angular-eslint';
import prettier from 'eslint-config-prettier';
import tseslint from 'typescript-eslint';

const onlyFrom = (allowed, forbidden, message) => ({
  'no-restricted-imports': ['error', { patterns: [{ group: forbidden, message: `${message} Allowed here: ${allowed}.` }] }],
});
/** What the browser loads names each file it needs, so that a page brings no more of the core than its own share. */
const coreByFile = {
  '@typescript-eslint/no-restricted-imports': [
    'error',
    { paths: [{ name: '@trug/core', allowTypeImports: true, message: 'Values come from their own file, such as @trug/core/log/replay.' }] },
  ],
};
const SERVER = ['@trug/server*', '**/packages/server/**', 'express', 'sequelize', 'sqlite3', 'node:*', 'umzug', 'pino', 'helmet'];
const WEB = ['@trug/web*', '**/packages/web/**', '@angular/*', '@ngrx/*', 'rxjs*', 'd3-*'];

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.angular/**', '**/.angular/**', '.cache/**', 'coverage/**', 'packages/web/jest.setup.ts'] },
  {
    files: ['**/*.ts'],
    extends: [...tseslint.configs.strictTypeChecked, prettier],
    languageOptions: {
      parserOptions: {
        project: [
          'bench/blank/tsconfig.json',
          'packages/core/tsconfig.json',
          'packages/contract/tsconfig.json',
          'packages/server/tsconfig.json',
          'packages/web/tsconfig.spec.json',
          'e2e/tsconfig.json',
        ],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-extraneous-class': ['error', { allowWithDecorator: true, allowConstructorOnly: true, allowEmpty: true }],
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
      '@typescript-eslint/unbound-method': 'off',
      '@typescript-eslint/no-unnecessary-type-parameters': 'off',
      'no-console': 'error',
      eqeqeq: 'error',
    },
  },
  {
    files: ['packages/core/src/**/*.ts'],
    ignores: ['**/*.spec.ts'],
    rules: {
      ...onlyFrom('only the core itself', ['@trug/*', ...SERVER, ...WEB, 'class-*'], 'The core imports nothing outside itself.'),
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'localStorage', 'setTimeout'],
      'no-restricted-syntax': [
        'error',
        { selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']", message: 'The core reads no clock: take today as an argument.' },
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'The core reads no clock: take today as an argument.' },
        { selector: "CallExpression[callee.object.name='Math'][callee.property.name='random']", message: 'The core reads no chance: take a seed.' },
      ],
    },
  },
  {
    files: ['packages/contract/src/**/*.ts'],
    rules: { ...onlyFrom('core and class-validator', [...SERVER, ...WEB], 'The contract is shared by server and web.'), ...coreByFile },
  },
  {
    files: ['packages/server/src/**/*.ts'],
    rules: onlyFrom('core, contract and Node packages', WEB, 'The server knows nothing of the web.'),
  },
  {
    files: ['packages/web/src/**/*.ts'],
    extends: [...angular.configs.tsRecommended],
    processor: angular.processInlineTemplates,
    rules: {
      ...onlyFrom('core, contract and browser packages', SERVER, 'The web knows nothing of the server.'),
      ...coreByFile,
      '@angular-eslint/prefer-on-push-component-change-detection': 'error',
      '@angular-eslint/component-selector': ['error', { type: 'element', prefix: 'trug', style: 'kebab-case' }],
      '@angular-eslint/directive-selector': ['error', { type: 'attribute', prefix: 'trug', style: 'camelCase' }],
      'no-restricted-syntax': [
        'error',
        { selector: "ImportSpecifier[imported.name='FormsModule']", message: 'Forms are typed FormGroups: ReactiveFormsModule.' },
        {
          selector: "Decorator Property[key.name='imports'] > ArrayExpression > SpreadElement",
          message: 'A list put together so is loaded whole: @defer can leave none of it for later.',
        },
      ],
    },
  },
  { files: ['packages/web/src/**/*.html'], extends: [...angular.configs.templateRecommended, ...angular.configs.templateAccessibility] },
  {
    files: ['packages/web/src/**/*.html'],
    ignores: ['packages/web/src/app/shared/field/**'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'Element[name=/^(input|select|textarea|dialog|progress|meter|datalist)$/]',
          message: 'Controls are the kit’s: take a field from shared/field, or Material’s own.',
        },
      ],
    },
  },
  { files: ['**/*.spec.ts', 'e2e/**/*.ts'], rules: { 'no-console': 'off', '@typescript-eslint/no-unsafe-assignment': 'off' } },
);
