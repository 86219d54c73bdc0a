const expo = require('eslint-config-expo/flat');
const prettier = require('eslint-config-prettier');

module.exports = [
  {
    ignores: [
      '**/node_modules/**',
      'app/dist/**',
      'server/dist/**',
      'cli/dist/**',
      'app/.expo/**',
      'e2e/report/**',
      'e2e/test-results/**',
      'data/**',
    ],
  },
  ...expo,
  prettier,
  {
    settings: {
      'import/resolver': {
        typescript: {
          project: [
            'core/tsconfig.json',
            'cli/tsconfig.json',
            'server/tsconfig.json',
            'app/tsconfig.json',
            'e2e/tsconfig.json',
            'bench/tsconfig.json',
          ],
        },
      },
    },
    rules: {
      'no-console': 'error',
      eqeqeq: 'error',
      // TypeScript knows what a module exports, and this rule took a third of the time.
      'import/namespace': 'off',
    },
  },
  {
    files: ['**/*.ts', '**/*.tsx'],
    ignores: ['**/*.test.*'],
    rules: { '@typescript-eslint/no-explicit-any': 'error' },
  },
  // Rules that know the types: no promise is forgotten, and a switch over a kind knows all of them.
  {
    files: ['{core,cli,server,app,e2e,bench}/**/*.ts', '{core,cli,server,app,e2e,bench}/**/*.tsx'],
    languageOptions: { parserOptions: { projectService: true } },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
    },
  },
  {
    files: ['app/jest.setup.js'],
    languageOptions: { globals: { jest: 'readonly', setTimeout: 'readonly', performance: 'readonly' } },
  },
  // Fixtures of the interface tests are handed on with `use`, which is no hook.
  {
    files: ['e2e/**'],
    rules: {
      'react-hooks/rules-of-hooks': 'off',
      'no-empty-pattern': 'off',
      'import/no-named-as-default': 'off',
    },
  },
  // The scripts talk to a terminal.
  {
    files: ['scripts/**', 'bench/**', 'demo/**', 'server/src/hardening/main.ts'],
    rules: { 'no-console': 'off' },
  },
];
