import boundaries from 'eslint-plugin-boundaries';
import importX, { createNodeResolver } from 'eslint-plugin-import-x';
import a11y from 'eslint-plugin-jsx-a11y';
import hooks from 'eslint-plugin-react-hooks';
import { defineConfig } from 'eslint/config';
import tseslint from 'typescript-eslint';
import { ROOMS } from './floors.js';

/** Imports point one way: pages → stations → ui → core; pages/api → server → formats → core. */
const MAY_IMPORT = {
  core: ['core'],
  formats: ['formats', 'core'],
  ui: ['ui', 'core'],
  workers: ['workers', 'formats', 'core'],
  stations: ['stations', 'ui', 'workers', 'formats', 'core'],
  server: ['server', 'formats', 'core'],
  api: ['server', 'formats', 'core'],
  pages: ['pages', 'stations', 'ui', 'server', 'formats', 'core'],
  // Coverage judges by the simulator that the tests are judged by.
  scripts: ['scripts', 'tests', 'server', 'formats', 'core'],
  tests: ['tests', 'scripts', 'server', 'formats', 'core', 'stations', 'ui'],
};

const NUMERIC = {
  regex: '^(?!\\.|zod$|pure-rand|@stdlib/)',
  message: 'The core imports only numeric packages and Zod.',
};

const HOUSED = { selector: 'Program', message: 'Give this file a room of the core (floors.js).' };

/** Files so deep in a room of the core import nothing of the rooms that stand behind it in floors.js. */
const noStepUp = (room, at, depth) => ({
  files: [`src/core/${room}/${'*/'.repeat(depth - 1)}*.ts`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          NUMERIC,
          {
            regex: `^${'\\.\\./'.repeat(depth)}(?!(${ROOMS.slice(0, at).join('|')})/)(?!\\.)`,
            message: `A room of the core that stands behind ${room} in floors.js.`,
          },
        ],
      },
    ],
  },
});

export default defineConfig(
  { ignores: ['dist', '.astro', 'node_modules', '.corvat', 'test-results'] },
  ...tseslint.configs.strict,
  {
    files: ['**/*.{ts,tsx}'],
    languageOptions: { parserOptions: { projectService: true } },
    plugins: { boundaries, 'import-x': importX, 'react-hooks': hooks },
    settings: {
      'import/resolver': { node: { extensions: ['.ts', '.tsx'] } },
      'import-x/resolver-next': [createNodeResolver({ extensions: ['.ts', '.tsx'] })],
      'import-x/extensions': ['.ts', '.tsx'],
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts', '.tsx'] },
      'boundaries/elements': [
        { type: 'api', pattern: 'src/pages/api' },
        ...['core', 'formats', 'ui', 'workers', 'stations', 'server', 'pages'].map((type) => ({
          type,
          pattern: `src/${type}`,
        })),
        { type: 'scripts', pattern: 'scripts' },
        { type: 'tests', pattern: 'tests' },
      ],
    },
    rules: {
      ...hooks.configs.recommended.rules,
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': 'error',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { varsIgnorePattern: '^_', argsIgnorePattern: '^_' },
      ],
      'import-x/no-cycle': ['error', { ignoreExternal: true }],
      'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
      'boundaries/dependencies': [
        'error',
        {
          default: 'disallow',
          policies: Object.entries(MAY_IMPORT).map(([from, allowed]) => ({
            from: { element: { type: from } },
            allow: allowed.map((type) => ({ to: { element: { type } } })),
          })),
        },
      ],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    rules: {
      'no-restricted-imports': ['error', { patterns: [NUMERIC] }],
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process', 'localStorage'],
    },
  },
  ...ROOMS.flatMap((room, at) => [1, 2, 3, 4].map((depth) => noStepUp(room, at, depth))),
  {
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['src/core/control/**'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'CallExpression[callee.property.name="command"]',
          message: 'Only core/control steers: give drive() a controller.',
        },
      ],
    },
  },
  { files: ['src/core/*.ts'], rules: { 'no-restricted-syntax': ['error', HOUSED] } },
  // Playwright's fixtures hand over their value by a function that it calls “use”.
  { files: ['tests/e2e/**'], rules: { 'react-hooks/rules-of-hooks': 'off' } },
  {
    files: ['**/*.tsx'],
    ...a11y.flatConfigs.recommended,
  },
  {
    files: ['**/*.tsx'],
    rules: {
      // A wide table within a region is scrolled with the arrow keys.
      'jsx-a11y/no-noninteractive-tabindex': ['error', { tags: [], roles: ['region', 'tabpanel'] }],
    },
  },
);
