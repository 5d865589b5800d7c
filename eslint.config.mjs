import js from '@eslint/js';
import reactHooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import ts from 'typescript-eslint';

/** Order of the core's stages: a stage imports only stages to its left. */
export const STAGES = [
  'units',
  'optics',
  'kit',
  'floor',
  'hand',
  'plan',
  'track',
  'verdict',
  'trials',
  'stop',
  'roll',
  'takes',
  'sheets',
];

/** Order of the page's parts: a part imports only parts to its left. Those after charts are folders of features/. */
export const PARTS = [
  'shared',
  'ui',
  'charts',
  'calculator',
  'kit',
  'shot',
  'revisions',
  'viewfinder',
  'dial',
  'setup',
  'marks',
  'pull',
  'floor',
  'stop',
  'takes',
  'roll',
  'log',
  'network',
  'backups',
  'shots',
  'shotPage',
  'app',
];

/** Forbids imports, with the reason as the message. */
const ban = (message, ...regexes) => regexes.map((regex) => ({ regex, message }));

const NO_CLOCK_NO_DICE = [
  { object: 'Date', property: 'now', message: 'The core has no clock: take the time as an argument.' },
  { object: 'Math', property: 'random', message: 'The core has no dice: take random numbers as an argument.' },
];

const coreIsAlone = ban('The core imports nothing of the other workspaces, and no package.', '^@still-heron/', '^(?!\\.{1,2}/)');

const stageRules = STAGES.map((stage, index) => ({
  files: [`packages/core/src/${stage}/**/*.ts`],
  ignores: ['**/*.test.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          ...coreIsAlone,
          ...ban(
            `${stage} imports only stages to its left: ${STAGES.slice(0, index).join(', ') || 'none'}.`,
            ...STAGES.slice(index + 1).map((later) => `^(\\.\\./)+${later}/`),
          ),
          ...ban('The door is for those outside: import the stage.', '^(\\.\\./)+index(\\.js)?$'),
        ],
      },
    ],
  },
}));

const serverIsApart = ban(
  'The page never imports the server.',
  '^@still-heron/server',
  'apps/server',
  '^@nestjs/',
  '^class-(validator|transformer)',
);

const COMMON_PARTS = ['shared', 'ui', 'charts', 'app'];

const antdIsThemed = ban('Controls of antd come from ui/antd, in our theme.', '^(antd|@ant-design)(/|$)');

const patternsOf = (part) => [
  ...serverIsApart,
  ...ban(
    `${part} imports only parts to its left: ${PARTS.slice(0, PARTS.indexOf(part)).join(', ') || 'none'}.`,
    ...PARTS.slice(PARTS.indexOf(part) + 1).map((later) => `^(\\.\\./)+(features/)?${later}/`),
  ),
];

const partRules = [
  ...PARTS.map((part) => ({
    files: [`apps/web/src/${COMMON_PARTS.includes(part) ? part : `features/${part}`}/**/*.{ts,tsx}`],
    ignores: ['**/*.test.{ts,tsx}'],
    rules: { 'no-restricted-imports': ['error', { patterns: [...patternsOf(part), ...antdIsThemed] }] },
  })),
  {
    files: ['apps/web/src/ui/{antd,notices}/**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}'],
    rules: { 'no-restricted-imports': ['error', { patterns: patternsOf('ui') }] },
  },
];

const restrict = (files, patterns, rest = {}) => ({
  files,
  ...rest,
  rules: { 'no-restricted-imports': ['error', { patterns }] },
});

/** Reports refs that are read in render. The plugin's rule compiles every component: without one that reads a ref, there is no need. */
const refsWhereTheyAreRead = {
  ...reactHooks.rules.refs,
  create: (context) => (context.sourceCode.text.includes('.current') ? reactHooks.rules.refs.create(context) : {}),
};

/** Most states of a component or hook; more belong into a hook of their own. */
const MAX_STATES = 5;

/** Reports a function that calls `useState` or `useReducer` more than `MAX_STATES` times itself. */
const fewStates = {
  create(context) {
    const counts = [];
    const enter = () => counts.push(0);
    const leave = (node) => {
      const count = counts.pop();
      if (count > MAX_STATES)
        context.report({ node, message: `${count} states in one function: take it apart, ${MAX_STATES} are enough.` });
    };
    return {
      ':function': enter,
      ':function:exit': leave,
      'CallExpression[callee.name=/^use(State|Reducer)$/]'() {
        if (counts.length > 0) counts[counts.length - 1]++;
      },
    };
  },
};

/** Rules of our own, as a plugin. */
const HOUSE_RULES = { rules: { 'few-states': fewStates, refs: refsWhereTheyAreRead } };

export default ts.config(
  // rules of eslint.typed.config.mjs are switched off by comments that this run does not know
  { linterOptions: { reportUnusedDisableDirectives: 'off' } },
  // the trial loop is AssemblyScript, which only its own compiler reads
  {
    ignores: [
      '**/dist/',
      '**/bundle/',
      '**/node_modules/',
      '.data/',
      'packages/core/loop/',
      'apps/server/migrations/',
      'test-results/',
      'playwright-report/',
    ],
  },
  js.configs.recommended,
  ...ts.configs.recommended,
  {
    rules: {
      eqeqeq: ['error', 'always'],
      'no-nested-ternary': 'error',
      'no-console': 'off',
      '@typescript-eslint/no-import-type-side-effects': 'error',
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_', argsIgnorePattern: '^_' }],
      'no-control-regex': 'off',
    },
  },
  {
    files: ['apps/*/src/**/*.{ts,tsx}', 'packages/*/src/**/*.ts', 'tools/*.mjs'],
    ignores: ['**/*.test.{ts,tsx,mjs}'],
    plugins: { house: HOUSE_RULES },
    rules: {
      'house/few-states': 'error',
      'max-lines': ['error', { max: 250, skipBlankLines: true, skipComments: true }],
      'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }],
      'max-params': ['error', 4],
    },
  },
  // injected classes are values at run time, because decorators use them
  { files: ['apps/server/**/*.ts', 'packages/contract/**/*.ts'], rules: { '@typescript-eslint/consistent-type-imports': 'off' } },
  {
    files: ['packages/core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    languageOptions: { globals: {} },
    rules: {
      'no-restricted-properties': ['error', ...NO_CLOCK_NO_DICE],
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'console', 'setTimeout', 'fetch'],
    },
  },
  restrict(['packages/core/src/*.ts'], coreIsAlone),
  ...stageRules,
  restrict(
    ['packages/wording/**/*.ts'],
    ban('The wording knows only the core.', '^@still-heron/(server|web|contract)', 'apps/', '^(?!\\.{1,2}/|@still-heron/core$)'),
  ),
  restrict(
    ['packages/contract/**/*.ts'],
    ban('The contract knows the core and the checks alone.', '^@still-heron/(server|web)', 'apps/'),
  ),
  restrict(['apps/server/**/*.ts'], ban('The server never imports the page.', '^@still-heron/web', 'apps/web', '/web/src'), {
    ignores: ['apps/server/src/database/**'],
  }),
  restrict(
    ['apps/server/src/**/*.ts'],
    [
      ...ban('The server never imports the page.', '^@still-heron/web', '/web/src'),
      ...ban('Only database/ names a driver.', '^@electric-sql/', '^pg$', '^drizzle-orm/(pglite|node-postgres)'),
    ],
    { ignores: ['apps/server/src/database/**'] },
  ),
  restrict(['apps/web/**/*.{ts,tsx}'], serverIsApart),
  ...partRules,
  {
    files: ['apps/web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks, house: HOUSE_RULES },
    rules: {
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      'house/refs': 'error',
    },
    languageOptions: { globals: globals.browser },
  },
  {
    files: ['tools/**/*.mjs', 'benchmarks/**/*.mjs', 'apps/server/test/*.mjs', 'e2e/**/*.ts', '*.mjs'],
    languageOptions: { globals: { ...globals.node, ...globals.browser, ...globals.jest } },
  },
);
