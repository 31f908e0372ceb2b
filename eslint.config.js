const boundaries = require('eslint-plugin-boundaries');
const expo = require('eslint-config-expo/flat');
const { defineConfig } = require('eslint/config');

/** The one way that arrows point: each folder with those that it may import from. */
const MAY_IMPORT = {
  app: ['screens'],
  screens: ['screens', 'ui', 'data', 'engine', 'core'],
  ui: ['ui', 'core'],
  data: ['data', 'engine', 'core'],
  engine: ['engine', 'core', 'demo'],
  demo: ['demo', 'core'],
  core: ['core'],
  server: ['server', 'demo', 'core'],
};

const FOLDERS = { app: 'app', demo: 'demo', server: 'server' };

/** Packages of the interface, the page and the store: none of the core's business. */
const OUTSIDE_CORE = [
  'react',
  'react-*',
  'react-native',
  '@react-native-*',
  'expo*',
  'comlink',
  '@tanstack/*',
  'express',
];

module.exports = defineConfig([
  expo,
  {
    ignores: ['dist/**', 'node_modules/**', '.expo/**', 'playwright-report/**', 'test-results/**'],
  },
  {
    files: ['**/*.{ts,tsx}'],
    plugins: { boundaries },
    settings: {
      'boundaries/elements': Object.keys(MAY_IMPORT).map((type) => ({
        type,
        pattern: `${FOLDERS[type] ?? `src/${type}`}/**`,
        mode: 'full',
      })),
      'import/resolver': { typescript: true },
    },
    rules: {
      'boundaries/element-types': [
        'error',
        {
          default: 'disallow',
          rules: Object.entries(MAY_IMPORT).map(([from, allow]) => ({ from: [from], allow })),
        },
      ],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
      eqeqeq: 'error',
      // Namespaced calls such as ICAL.parse() are how those packages are meant to be used.
      'import/no-named-as-default-member': 'off',
      'no-console': 'error',
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [{ group: OUTSIDE_CORE, message: 'The core knows no interface and no store.' }],
        },
      ],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'navigator',
        'localStorage',
        'sessionStorage',
        'indexedDB',
        'fetch',
      ],
    },
  },
  {
    files: ['scripts/**', 'server/main.ts', 'bench/**', 'e2e/**'],
    rules: { 'no-console': 'off' },
  },
]);
