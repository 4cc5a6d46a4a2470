// What the layers may import, what core may not touch, how wide and long a file may be, and the usual care.

import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript';
import astro from 'eslint-plugin-astro';
import importX from 'eslint-plugin-import-x';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** What each layer may import besides itself. */
const layers = {
  core: [],
  theme: [],
  views: ['core'],
  wording: ['core', 'views'],
  data: ['core'],
  ports: ['core'],
  sim: ['core', 'ports'],
  workers: ['core', 'views'],
  server: ['core', 'data', 'ports', 'sim', 'views', 'wording', 'theme'],
  screens: ['core', 'workers', 'theme', 'views', 'wording'],
  layouts: ['theme'],
  pages: ['core', 'server', 'screens', 'layouts'],
};

/** The parts of core, each of which may import only those before it. */
const coreOrder = [
  'units',
  'geometry',
  'artwork',
  'materials',
  'placing',
  'stock',
  'buying',
  'estimating',
  'nesting',
  'pressing',
  'costing',
  'pricing',
  'planning',
  'orders',
  'cutting',
  'trials',
  'rosters',
  'feeds',
  'scheduling',
  'input',
];

/** Core computes with these and with nothing else: no Node, no browser, no React, no database. */
const coreLibraries = [
  'clipper2-ts',
  'colord(/.*)?',
  'css-tree',
  'd3-contour',
  'd3-polygon',
  'd3-random',
  'dxf-parser',
  'earcut',
  'fit-curve',
  'fastest-levenshtein',
  'flatbush',
  'fontkit',
  'jstat',
  'ml-fcnnls',
  'ml-matrix',
  'papaparse',
  'polylabel',
  'quantize',
  'saxes',
  'simple-statistics',
  'svg-pathdata',
  'temporal-polyfill',
  'topojson-server',
  'topojson-simplify',
  'yup',
];

const zone = (target, allowed) => ({
  target: `./src/${target}`,
  from: './src',
  except: [`./${target}`, ...allowed.map((name) => `./${name}`)],
  message: `${target} may import only ${[target, ...allowed].join(', ')}`,
});
const zones = [
  ...Object.entries(layers).map(([name, allowed]) => zone(name, allowed)),
  {
    target: './src/server/**/!(devices).ts',
    from: './src/sim',
    message: 'Which devices there are is chosen in server/devices.ts alone.',
  },
  ...coreOrder.map((name, index) => ({
    target: `./src/core/${name}`,
    from: './src/core',
    except: coreOrder.slice(0, index + 1).map((lower) => `./${lower}`),
    message: `core/${name} may import only lower parts of core`,
  })),
];

const slowBarrels = [{ name: '@mui/material', message: 'One path a component: the barrel is slow.' }];

/** Sums that only one place may do, and forms that have a better one. */
const everywhere = [
  {
    selector: "BinaryExpression[operator='/'][right.value=100], BinaryExpression[operator='*'][right.value=100]",
    message: 'Money has as many digits as its currency: use toMajor, fromMajor, toPercent or a named constant.',
  },
  {
    selector: "CallExpression[callee.property.name='slice'][callee.object.callee.property.name='toISOString']",
    message: "A day is one of the shop's own calendar: use dayOf(ms, timeZone).",
  },
  {
    selector: 'Literal[raw=/^[0-9.]+e-[0-9]+$/]:not(VariableDeclarator > Literal)',
    message: 'A tolerance has a name that says what it is one of.',
  },
];
const noColours = {
  selector: 'Literal[value=/^#[0-9a-fA-F]{3,8}$/]',
  message: 'Colours live in src/theme.',
};
const inMarkup = [
  {
    selector: "JSXAttribute[name.name='style'] ObjectExpression > Property[value.type='Literal']",
    message: 'Only computed geometry is styled in place: use a named class, or sx.',
  },
  noColours,
  {
    selector: "JSXOpeningElement[name.name='th']:not(:has(JSXAttribute[name.name='scope']))",
    message: 'A head says whether it is of a column or a row.',
  },
];
const inCore = [
  {
    selector: "NewExpression[callee.name='Date'][arguments.length=0]",
    message: 'The instant is an argument in core.',
  },
];
const inTransactions = [
  {
    selector: "CallExpression[callee.property.name='transaction']",
    message: 'Use inTransaction: an async change does not compile there.',
  },
];

export default tseslint.config(
  { ignores: ['dist/', 'node_modules/', 'data/', '.astro/', 'test-results/', 'playwright-report/', 'reports/'] },
  ...tseslint.configs.recommended,
  ...astro.configs.recommended,
  {
    files: ['**/*.{ts,tsx,astro}'],
    plugins: { 'import-x': importX },
    settings: {
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts', '.tsx'], 'astro-eslint-parser': ['.astro'] },
      'import-x/resolver-next': [createTypeScriptImportResolver()],
    },
    rules: {
      'import-x/no-restricted-paths': ['error', { zones }],
      'no-restricted-imports': ['error', { paths: slowBarrels }],
      'no-restricted-syntax': ['error', ...everywhere],
      'max-lines': ['error', 300],
      'max-len': [
        'error',
        { code: 140, ignoreUrls: true, ignoreRegExpLiterals: true, ignoreStrings: true, ignoreTemplateLiterals: true },
      ],
    },
  },
  {
    // About fifty lines; what is more is parted by meaning. Tests tell a story from top to bottom.
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}', '**/*.bench.ts'],
    rules: { 'max-lines-per-function': ['error', { max: 75, skipBlankLines: true, skipComments: true }] },
  },
  {
    files: ['**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      'import-x/no-cycle': 'error',
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'no-eval': 'error',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      'no-console': 'error',
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.{ts,tsx}', '**/*.bench.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: `^(?!\\.{1,2}/)(?!(${coreLibraries.join('|')})$)`,
              message: 'Core computes: it has a short list of libraries, in eslint.config.mjs.',
            },
          ],
        },
      ],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'fetch',
        'setTimeout',
        'setInterval',
        'localStorage',
        'Buffer',
        'performance',
        'crypto',
        'navigator',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now' },
        { object: 'Math', property: 'random' },
        { object: 'Temporal', property: 'Now' },
        { object: 'globalThis' },
      ],
      'no-restricted-syntax': ['error', ...everywhere, ...inCore],
    },
  },
  {
    // How large a drawing or a roll is has hundreds that are none of money.
    files: ['src/core/{geometry,artwork,nesting}/**/*.ts'],
    rules: { 'no-restricted-syntax': ['error', ...everywhere.slice(1), ...inCore] },
  },
  {
    files: ['src/{server,data}/**/*.ts'],
    ignores: ['src/data/database.ts'],
    rules: { 'no-restricted-syntax': ['error', ...everywhere, ...inTransactions, noColours] },
  },
  {
    files: ['src/screens/**/*.tsx', 'src/layouts/**', 'src/pages/**'],
    rules: { 'no-restricted-syntax': ['error', ...everywhere, ...inMarkup] },
  },
  {
    files: ['**/*.{test,bench,spec}.{ts,tsx}', 'test/**'],
    rules: { 'no-restricted-syntax': 'off' },
  },
  { files: ['scripts/**'], rules: { 'no-console': 'off' } },
);
