import a11y from 'eslint-plugin-jsx-a11y';
import hooks from 'eslint-plugin-react-hooks';
import { defineConfig } from 'eslint/config';
import tseslint from 'typescript-eslint';
import { ROOMS } from './floors.js';

/** Imports point one way: pages → stations → ui → core; pages/api → server → formats → core. */
const MAY_IMPORT = {
  'src/formats': ['formats', 'core'],
  'src/ui': ['ui', 'core'],
  'src/workers': ['workers', 'formats', 'core'],
  'src/stations': ['stations', 'ui', 'workers', 'formats', 'core'],
  'src/server': ['server', 'formats', 'core'],
  'src/pages': ['pages', 'stations', 'ui', 'server', 'formats', 'core'],
  'src/pages/api': ['server', 'formats', 'core'],
  // Coverage judges by the simulator that the tests are judged by.
  scripts: ['scripts', 'tests', 'server', 'formats', 'core'],
  tests: ['tests', 'scripts', 'server', 'formats', 'core', 'stations', 'ui'],
};

const LAYERS = [...new Set(Object.values(MAY_IMPORT).flat())];

const up = (folders) => `^${'\\.\\./'.repeat(folders)}`;

/** Files so deep in a folder import nothing of the layers that are not theirs to know. */
const knowsItsOwn = (folder, depth) => {
  const foreign = LAYERS.filter((layer) => !MAY_IMPORT[folder].includes(layer)).join('|');
  const toRoot = folder.split('/').length + depth;
  const regex = folder.startsWith('src/')
    ? `${up(toRoot - 1)}((${foreign})/|\\.\\.)`
    : `${up(toRoot)}(src/)?(${foreign})/`;
  const message = `${folder} knows ${MAY_IMPORT[folder].join(', ')} alone.`;
  return {
    files: [`${folder}/${'*/'.repeat(depth)}*.{ts,tsx}`],
    rules: { 'no-restricted-imports': ['error', { patterns: [{ regex, message }] }] },
  };
};

const NUMERIC = {
  regex: '^(?!\\.|zod$|pure-rand)',
  message: 'The core imports only Zod and a generator of random numbers.',
};

const STEERS = {
  selector: 'CallExpression[callee.property.name="command"]',
  message: 'Only core/control steers: give drive() a controller.',
};
/** Kinds of steps, units and calibrations by names that nothing else has. */
const KIND_NAMES = [
  ...['left motor', 'right motor', 'heading sensor', 'distance sensor', 'light sensor'],
  ...['colour sensor', 'touch sensor', 'attachment motor', 'square-up', 'approach', 'repeat'],
  ...['gyro-drift', 'turns', 'squaring', 'placing', 'light-threshold', 'colour-classes'],
  ...['line-squaring', 'guilty-part'],
].join('|');
const ASKS_KIND = {
  selector: `BinaryExpression[operator=/^[!=]==$/] > Literal[value=/^(${KIND_NAMES})$/]`,
  message: 'Ask the registry of its kinds, not for one by its name.',
};
const RELOADS = {
  selector: 'CallExpression[callee.property.name="reload"]',
  message: 'What is pressed before a page listens is lost: reload(page) of ./corvat waits.',
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
            regex: `${up(depth)}(?!(${ROOMS.slice(0, at).join('|')})/)(?!\\.)`,
            message: `A room of the core that stands behind ${room} in floors.js.`,
          },
          { regex: up(depth + 1), message: 'The core knows itself alone.' },
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
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': 'error',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { varsIgnorePattern: '^_', argsIgnorePattern: '^_' },
      ],
      'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    files: ['src/**/*.tsx', 'src/**/use*.ts'],
    plugins: { 'react-hooks': hooks },
    rules: hooks.configs.recommended.rules,
  },
  {
    files: ['src/core/**/*.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process', 'localStorage'],
    },
  },
  ...Object.keys(MAY_IMPORT).flatMap((folder) =>
    [0, 1, 2, 3, 4, 5].map((d) => knowsItsOwn(folder, d)),
  ),
  ...ROOMS.flatMap((room, at) => [1, 2, 3, 4].map((depth) => noStepUp(room, at, depth))),
  {
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['src/core/control/**'],
    rules: {
      'no-restricted-syntax': ['error', STEERS, ASKS_KIND],
    },
  },
  {
    files: ['src/stations/**/*.tsx'],
    rules: {
      'no-restricted-syntax': [
        'error',
        STEERS,
        ASKS_KIND,
        {
          selector: 'JSXAttribute[name.name=/^(min|max)$/]',
          message:
            'Limits stand where a value is described (core): give its field the description.',
        },
      ],
    },
  },
  { files: ['src/core/*.ts'], rules: { 'no-restricted-syntax': ['error', HOUSED] } },
  { files: ['tests/e2e/*.spec.ts'], rules: { 'no-restricted-syntax': ['error', RELOADS] } },
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
