// Builds the pages and the server, and the small programs that run beside it.

import { build } from 'esbuild';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { root, run } from './prepare.mjs';

const THREADS = ['measure', 'nest', 'pack', 'book', 'cut', 'basket', 'paper', 'cost', 'letter', 'learn'].map(
  (kind) => `${kind}-thread`,
);

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
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  logLevel: 'warning',
});
