// npm run big-shop -- FOLDER [orders]: a made-up shop of a real shop's size, to see how pages do on it.

import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { join } from 'node:path';
import { ensureBuild, ensurePackages, root } from './prepare.mjs';

const [folder, orders = '10000', ...others] = process.argv.slice(2);
if (!folder || others.length > 0 || !/^[1-9]\d{0,5}$/.test(orders)) {
  console.error('Name an empty folder, and how many orders: npm run big-shop -- FOLDER 10000');
  process.exit(1);
}
await ensurePackages();
ensureBuild();
process.env.CHIRAL_ROOT = root;
const started = performance.now();
try {
  const { makeBigShop } = await import(pathToFileURL(join(root, 'dist/tools/big-shop.mjs')).href);
  await makeBigShop(resolve(folder), Number(orders), Date.now());
} catch (error) {
  console.error(error.message);
  process.exit(1);
}
console.log(
  `Written in ${((performance.now() - started) / 1000).toFixed(0)} s. Open it with CHIRAL_DATA=${folder} npm start`,
);
