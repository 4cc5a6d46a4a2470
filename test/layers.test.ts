import { readFileSync } from 'node:fs';
import { dirname, join, normalize, relative } from 'node:path';
import { ESLint } from 'eslint';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';

/** Lint of types takes a while to begin with. */
const PATIENCE_MS = 90_000;
const eslint = new ESLint();

/** Plants a fault where it is forbidden: lint that passes everything silently would be no fence. */
async function rulesBrokenBy(code: string, filePath: string): Promise<readonly (string | null)[]> {
  const [result] = await eslint.lintText(code, { filePath });
  return result!.messages.map((message) => message.ruleId);
}
const importing = (path: string) => `import { x } from '${path}';\nexport const y = x;\n`;

describe('the fence between the layers', () => {
  it.each([
    ['core', 'the database', 'src/core/units/figure.ts', '../../data/shop-store'],
    ['core', 'a screen', 'src/core/units/figure.ts', '../../screens/shared/Comb'],
    ['a lower part of core', 'a higher one', 'src/core/geometry/box.ts', '../costing'],
    ['theme', 'core', 'src/theme/theme.ts', '../core/units'],
    ['views', 'the server', 'src/views/frame.ts', '../server/context'],
    ['wording', 'a screen', 'src/wording/plural.ts', '../screens/shared/Comb'],
    ['data', 'the server', 'src/data/shop-store.ts', '../server/context'],
    ['workers', 'a screen', 'src/workers/nest-client.ts', '../screens/shared/Comb'],
    ['the server', 'a screen', 'src/server/context.ts', '../screens/shared/Comb'],
    ['screens', 'the server', 'src/screens/shared/Comb.tsx', '../../server/context'],
    ['pages', 'the database', 'src/pages/api/shop.ts', '../../data/shop-store'],
    ['a port', 'the server', 'src/ports/cutter.ts', '../server/context'],
    ['a stand-in', 'the database', 'src/sim/film.ts', '../data/shop-store'],
    ['the server', 'a stand-in', 'src/server/cutting/cut-steps.ts', '../../sim/simulated-cutter'],
    ['a screen', 'a port', 'src/screens/bench/PressBar.tsx', '../../ports/press'],
  ])(
    '%s may not know %s',
    async (_, __, filePath, path) => {
      expect(await rulesBrokenBy(importing(path), filePath)).toContain('import-x/no-restricted-paths');
    },
    PATIENCE_MS,
  );

  it.each([
    ['a layout', 'src/layouts/Page.astro', '../core/units'],
    ['a page', 'src/pages/shop.astro', '../data/shop-store'],
  ])(
    '%s in Astro stands behind it too',
    async (_, filePath, path) => {
      const code = `---\nimport { x } from '${path}';\n---\n<p>{x}</p>\n`;
      expect(await rulesBrokenBy(code, filePath)).toContain('import-x/no-restricted-paths');
    },
    PATIENCE_MS,
  );

  it(
    'lets an allowed import pass',
    async () => {
      const code = "import { assert } from '../units';\n\nexport const x = assert;\n";
      expect(await rulesBrokenBy(code, 'src/core/geometry/box.ts')).toEqual([]);
    },
    PATIENCE_MS,
  );
});

describe('core computes and nothing else', () => {
  it.each(['node:fs', 'react', 'drizzle-orm', '@mui/material/Button', 'crypto'])(
    'without %s',
    async (name) => {
      expect(await rulesBrokenBy(importing(name), 'src/core/units/figure.ts')).toContain('no-restricted-imports');
    },
    PATIENCE_MS,
  );

  it.each([
    'Date.now()',
    'Math.random()',
    'new Date()',
    "fetch('/')",
    'process.cwd()',
    'performance.now()',
    'crypto.randomUUID()',
    'globalThis.setTimeout',
  ])(
    'without %s',
    async (call) => {
      const broken = await rulesBrokenBy(`export const x = ${call};\n`, 'src/core/units/figure.ts');
      expect(broken.some((rule) => rule?.startsWith('no-restricted'))).toBe(true);
    },
    PATIENCE_MS,
  );
});

describe('what only one place may do', () => {
  it.each([
    ['cents', 'no-restricted-syntax', 'src/server/context.ts', 'export const f = (cents: number) => cents / 100;\n'],
    ['cents', 'no-restricted-syntax', 'src/core/buying/offer.ts', 'export const f = (euros: number) => euros * 100;\n'],
    [
      'days',
      'no-restricted-syntax',
      'src/server/context.ts',
      'export const f = (ms: number) => new Date(ms).toISOString().slice(0, 10);\n',
    ],
    [
      'a nameless tolerance',
      'no-restricted-syntax',
      'src/core/pricing/price.ts',
      'export const f = (a: number) => a < 1e-9;\n',
    ],
    [
      'a transaction of its own',
      'no-restricted-syntax',
      'src/server/context.ts',
      'export const f = (db: { transaction: (go: () => void) => void }) => db.transaction(() => undefined);\n',
    ],
    [
      'a static style',
      'no-restricted-syntax',
      'src/screens/shared/Comb.tsx',
      'export const X = () => <p style={{ margin: 0 }} />;\n',
    ],
    ['a colour', 'no-restricted-syntax', 'src/screens/shared/Comb.tsx', "export const x = '#a5343c';\n"],
    [
      'a head of nothing',
      'no-restricted-syntax',
      'src/screens/shared/Comb.tsx',
      'export const X = () => <th>due</th>;\n',
    ],
    [
      'a barrel',
      'no-restricted-imports',
      'src/screens/shared/Comb.tsx',
      "import { Button } from '@mui/material';\n\nexport const X = Button;\n",
    ],
    [
      'a promise left alone',
      '@typescript-eslint/no-floating-promises',
      'src/server/context.ts',
      'export const f = (): void => {\n  Promise.resolve(1);\n};\n',
    ],
    ['a wide line', 'max-len', 'src/server/context.ts', `export const x = [${'1, '.repeat(60)}1];\n`],
    [
      'a long file',
      'max-lines',
      'src/server/context.ts',
      Array.from({ length: 301 }, (_, at) => `export const a${at} = 1;\n`).join(''),
    ],
    [
      'a long function',
      'max-lines-per-function',
      'src/server/context.ts',
      `export function f(): void {\n${'  f();\n'.repeat(75)}}\n`,
    ],
    ['the console', 'no-console', 'src/server/context.ts', 'console.log(1);\n'],
  ])(
    '%s is refused by %s in %s',
    async (_, rule, filePath, code) => {
      expect(await rulesBrokenBy(code, filePath)).toContain(rule);
    },
    PATIENCE_MS,
  );
});

it('no file imports itself by way of others, not even for types', () => {
  const imports = readImports();
  const circles = [...imports.keys()].flatMap((file) => findCircle(file, imports) ?? []);
  expect(circles).toEqual([]);
});

/** Of each file of the program, the files it imports, types included. */
function readImports(): ReadonlyMap<string, readonly string[]> {
  const config = ts.readConfigFile('tsconfig.json', ts.sys.readFile);
  const { fileNames, options } = ts.parseJsonConfigFileContent(config.config, ts.sys, process.cwd());
  const own = fileNames.filter((name) => relative(process.cwd(), name).startsWith('src'));
  return new Map(
    own.map((name) => {
      const { importedFiles } = ts.preProcessFile(readFileSync(name, 'utf8'));
      const targets = importedFiles.flatMap(({ fileName }) => {
        const found = ts.resolveModuleName(fileName, name, options, ts.sys).resolvedModule?.resolvedFileName;
        return fileName.startsWith('.') && found
          ? [normalize(join(dirname(found), relative(dirname(found), found)))]
          : [];
      });
      return [normalize(name), targets];
    }),
  );
}

/** The way from a file back to itself; null where there is none. */
function findCircle(start: string, imports: ReadonlyMap<string, readonly string[]>): string | null {
  const seen = new Set<string>();
  const queue = (imports.get(start) ?? []).map((next) => ({ file: next, way: [start, next] }));
  for (let step = queue.shift(); step; step = queue.shift()) {
    if (step.file === start) return step.way.map((file) => relative(process.cwd(), file)).join(' → ');
    if (seen.has(step.file)) continue;
    seen.add(step.file);
    for (const next of imports.get(step.file) ?? []) queue.push({ file: next, way: [...step.way, next] });
  }
  return null;
}
