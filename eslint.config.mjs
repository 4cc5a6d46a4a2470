// What the layers may import, what core may not touch, and the usual care.

import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript';
import astro from 'eslint-plugin-astro';
import importX from 'eslint-plugin-import-x';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const layers = {
  core: [],
  wording: ['core', 'views'],
  views: ['core'],
  data: ['core'],
  workers: ['core', 'views'],
  server: ['core', 'data', 'views', 'wording'],
  screens: ['core', 'workers', 'theme', 'views', 'wording'],
  theme: [],
};
const coreOrder = [
  'units',
  'geometry',
  'artwork',
  'materials',
  'stock',
  'buying',
  'estimating',
  'nesting',
  'pressing',
  'costing',
  'pricing',
  'planning',
  'orders',
  'scheduling',
  'input',
];
const zone = (target, allowed, what) => ({
  target: `./src/${target}`,
  from: './src',
  except: [`./${target}`, ...allowed.map((name) => `./${name}`)],
  message: `${target} may import only ${[target, ...allowed].join(', ')}${what ?? ''}`,
});
const zones = [
  ...Object.entries(layers).map(([name, allowed]) => zone(name, allowed)),
  {
    target: './src/pages',
    from: './src',
    except: ['./core', './server', './screens', './layouts', './data', './pages'],
    message: 'pages: parse, one server call, one screen',
  },
  ...coreOrder.map((name, index) => ({
    target: `./src/core/${name}`,
    from: './src/core',
    except: coreOrder.slice(0, index + 1).map((lower) => `./${lower}`),
    message: `core/${name} may import only lower parts of core`,
  })),
];

export default tseslint.config(
  { ignores: ['dist/', 'node_modules/', 'data/', '.astro/', 'test-results/', 'playwright-report/'] },
  ...tseslint.configs.recommended,
  ...astro.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    plugins: { 'import-x': importX, 'react-hooks': reactHooks },
    settings: {
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts', '.tsx'] },
      'import-x/resolver-next': [createTypeScriptImportResolver()],
    },
    rules: {
      'import-x/no-restricted-paths': ['error', { zones }],
      'import-x/no-cycle': 'error',
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'no-restricted-imports': [
        'error',
        {
          paths: [
            { name: '@mui/material', message: 'One path a component: the barrel is slow.' },
            { name: '@mui/icons-material', message: 'One path an icon: the barrel takes seconds.' },
          ],
        },
      ],
      'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
      'no-eval': 'error',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      'no-console': 'error',
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts', '**/*.bench.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'fetch',
        'setTimeout',
        'localStorage',
        'Buffer',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now' },
        { object: 'Math', property: 'random' },
        { object: 'Temporal', property: 'Now' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'The instant is an argument in core.',
        },
      ],
    },
  },
  { files: ['scripts/**'], rules: { 'no-console': 'off' } },
);
