// npm start and npm run demo: install, build, open the shop, serve it. --demo: the demo shop; --fresh: begin it anew.

import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensureBuild, ensurePackages, root } from './prepare.mjs';

const demo = process.argv.includes('--demo');
const unknown = process.argv.slice(2).filter((word) => !['--demo', '--fresh'].includes(word));
if (unknown.length > 0) {
  console.error(`Not understood: ${unknown.join(' ')}. Only --fresh can be given, and only to npm run demo.`);
  process.exit(1);
}
await ensurePackages();
ensureBuild();

process.env.NODE_ENV = 'production';
process.env.CHIRAL_ROOT = root;
process.env.CHIRAL_DATA ??= join(root, 'data');
process.env.CHIRAL_DEMO = demo ? '1' : '0';
if (process.argv.includes('--fresh')) {
  if (!demo) {
    console.error('--fresh would throw your own shop away, so it works for the demo only: npm run demo -- --fresh');
    process.exit(1);
  }
  for (const ending of ['', '-wal', '-shm'])
    if (existsSync(join(process.env.CHIRAL_DATA, `demo.sqlite${ending}`)))
      rmSync(join(process.env.CHIRAL_DATA, `demo.sqlite${ending}`));
}
/** Errors whose message says what, where and what next: nothing is gained by where in the code they arose. */
const SAID_IN_WORDS = ['NewerDatabaseError', 'OrphanedRowsError', 'UnreadableColumnError', 'ShopFileError'];
const load = (path) => import(pathToFileURL(join(root, path)).href);
try {
  await (await load('dist/tools/open-shop.mjs')).openShopAtStart();
} catch (error) {
  console.error(SAID_IN_WORDS.includes(error.name) ? error.message : error);
  process.exit(1);
}
await (await load('scripts/server.mjs')).serve();
