// npm run loc: lines of code and of tests, and the tests' share.

import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './prepare.mjs';

const count = { code: 0, tests: 0 };
function walk(folder) {
  for (const entry of readdirSync(join(root, folder), { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) walk(path);
    else if (/\.(tsx?|mjs|astro|css)$/.test(entry.name))
      count[/\.(test|spec)\.|^test/.test(path) ? 'tests' : 'code'] += readFileSync(join(root, path), 'utf8').split(
        '\n',
      ).length;
  }
}
for (const folder of ['src', 'test', 'scripts']) walk(folder);
console.log(
  `${count.code} lines of code, ${count.tests} of tests: tests are ${Math.round((100 * count.tests) / (count.code + count.tests))} % of all`,
);
