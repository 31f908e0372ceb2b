const { readdirSync } = require('node:fs');
const boundaries = require('eslint-plugin-boundaries');
const expo = require('eslint-config-expo/flat');
const { defineConfig } = require('eslint/config');

/** The one way that arrows point: each folder with those that it may import from. */
const MAY_IMPORT = {
  app: ['screens'],
  screens: ['screens', 'features', 'ui', 'data', 'engine', 'core'],
  features: ['features', 'ui', 'data', 'engine', 'core'],
  ui: ['ui', 'core'],
  data: ['data', 'engine', 'core'],
  engine: ['engine', 'core', 'demo'],
  demo: ['demo', 'core'],
  core: ['core'],
  server: ['server', 'demo', 'core'],
};

/** Rooms of the core from the lowest up: each may know those before it. */
const CORE_ROOMS = [
  'time',
  'recurrence',
  'model',
  'agenda',
  'layout',
  'colour',
  'calendars',
  'editing',
  'query',
  'people',
  'bulk',
  'jot',
  'tasks',
  'page',
  'message',
  'tidy',
  'files',
  'view',
  'find',
  'invitations',
  'print',
];

/** A screen knows no other screen: what two of them share is a feature. */
const SCREENS = readdirSync('src/screens', { withFileTypes: true })
  .filter((entry) => entry.isDirectory())
  .map(({ name }) => name);

/** What the files of a folder may not import. */
const keepOut = (folder, patterns) => ({
  files: [`${folder}/**/*.{ts,tsx}`],
  ignores: ['**/*.test.{ts,tsx}'],
  rules: { 'no-restricted-imports': ['error', { patterns }] },
});

const coreRoom = (room, at) =>
  keepOut(`src/core/${room}`, [
    { group: OUTSIDE_CORE, message: 'The core knows no interface and no store.' },
    ...CORE_ROOMS.slice(at + 1).map((higher) => ({
      group: [`../${higher}/*`, `../../${higher}/*`, `@/core/${higher}/**`],
      message: `${room} lies below ${higher} (CORE_ROOMS in eslint.config.js).`,
    })),
  ]);

const screen = (name) =>
  keepOut(`src/screens/${name}`, [
    {
      group: ['@/screens/**', `!@/screens/${name}/**`],
      message: 'What screens share is a feature.',
    },
    ...SCREENS.filter((other) => other !== name).map((other) => ({
      group: [`../${other}/*`, `../../${other}/*`],
      message: 'What screens share is a feature.',
    })),
  ]);

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

/** Rules of a plugin, switched off. */
const without = (...plugins) =>
  Object.fromEntries(
    expo
      .flatMap(({ rules }) => Object.keys(rules ?? {}))
      .filter((name) => plugins.some((plugin) => name.startsWith(`${plugin}/`)))
      .map((name) => [name, 'off']),
  );

module.exports = defineConfig([
  expo,
  // The type check says these, in a small part of the time.
  {
    rules: Object.fromEntries(
      ['namespace', 'no-named-as-default', 'no-named-as-default-member'].map((rule) => [
        `import/${rule}`,
        'off',
      ]),
    ),
  },
  // Nothing there is drawn.
  {
    files: ['{src/core,src/engine,server,demo,bench,e2e,scripts}/**', '**/*.test.tsx'],
    rules: without('react', 'react-hooks'),
  },
  {
    ignores: [
      'dist/**',
      'dist-server/**',
      'node_modules/**',
      '.expo/**',
      'playwright-report/**',
      'test-results/**',
    ],
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
      'no-console': 'error',
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
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
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}'],
    rules: { 'max-lines-per-function': ['error', { max: 200 }] },
  },
  ...CORE_ROOMS.map(coreRoom),
  ...SCREENS.map(screen),
  {
    files: ['scripts/**', 'server/main.ts', 'bench/**', 'e2e/**'],
    rules: { 'no-console': 'off' },
  },
]);
