// The development server on the demo shop; screens change as their files are saved.

import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensureBuild, ensurePackages, root, run } from './prepare.mjs';

await ensurePackages();
ensureBuild();
Object.assign(process.env, {
  CHIRAL_ROOT: root,
  CHIRAL_DEMO: '1',
  CHIRAL_DATA: process.env.CHIRAL_DATA ?? join(root, 'data'),
});
await (await import(pathToFileURL(join(root, 'dist', 'tools', 'open-shop.mjs')).href)).openShopAtStart();
process.exit(run('npx', ['--no-install', 'astro', 'dev', '--port', process.env.PORT ?? '4321']));
