// Builds the pages and the server, and the small programs that run beside it.

import { build, transform } from 'esbuild';
import { readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root, run } from './prepare.mjs';

const THREADS = ['measure', 'nest', 'pack', 'book', 'cut', 'basket', 'paper', 'cost', 'letter', 'learn'].map(
  (kind) => `${kind}-thread`,
);

const LEFT_OUTSIDE = ['better-sqlite3', 'pino', 'pdfkit', 'nodemailer', 'highs', 'papaparse', 'tinypool'];

/** A program gets of core, and of the packages core computes with, only what it uses: they do nothing but define. */
const coreOnlyDefines = {
  name: 'core-only-defines',
  setup(build) {
    build.onResolve({ filter: /./ }, async ({ path, pluginData, ...where }) => {
      if (pluginData === 'resolved' || !/\/core\b/.test(path + where.importer)) return null;
      const found = await build.resolve(path, { ...where, pluginData: 'resolved' });
      return /\/src\/core\//.test(found.path + where.importer) ? { ...found, sideEffects: false } : found;
    });
  },
};

/** Half as much to read at every start; names stay, so that an error says where it came from. */
async function thin(folder) {
  for (const entry of readdirSync(folder, { recursive: true, withFileTypes: true })) {
    if (!entry.name.endsWith('.mjs')) continue;
    const file = join(entry.parentPath, entry.name);
    const { code } = await transform(readFileSync(file, 'utf8'), THINNING);
    writeFileSync(file, code);
  }
}
const THINNING = { minifyWhitespace: true, minifySyntax: true, legalComments: 'none', target: 'node20', format: 'esm' };

rmSync(join(root, 'dist'), { recursive: true, force: true });
const status = run('npx', ['--no-install', 'astro', 'build'], { env: { NODE_ENV: 'production' } });
if (status !== 0) process.exit(status);
await build({
  entryPoints: {
    ...Object.fromEntries(THREADS.map((thread) => [thread, join(root, 'src/server/heavy', `${thread}.ts`)])),
    'open-shop': join(root, 'src/server/open-shop.ts'),
    'big-shop': join(root, 'src/server/big-shop/make-big-shop.ts'),
  },
  outdir: join(root, 'dist', 'tools'),
  outExtension: { '.js': '.mjs' },
  bundle: true,
  splitting: true,
  define: { 'process.env.NODE_ENV': '"production"' },
  minifySyntax: true,
  minifyWhitespace: true,
  legalComments: 'none',
  plugins: [coreOnlyDefines],
  platform: 'node',
  format: 'esm',
  target: 'node20',
  // Packages go into each file: reading it takes a third as long as finding all their own. But for what is compiled, and
  // what reads files that lie beside it.
  external: LEFT_OUTSIDE,
  // By itself it reads its tables from files beside it.
  alias: { 'css-tree': join(root, 'node_modules/css-tree/dist/csstree.esm.js') },
  // Older packages ask for modules of Node by `require`.
  banner: {
    js: `import { createRequire as makeRequire } from 'node:module';const require = makeRequire(import.meta.url);`,
  },
  logLevel: 'warning',
});
await thin(join(root, 'dist', 'server'));
