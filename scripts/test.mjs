// npm test: everything that has to hold, from a fresh clone on. Ends with one line: N passed, N failed.

import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuild, ensurePackages, root, run } from './prepare.mjs';

await ensurePackages();
ensureChromium();
const reports = join(root, 'node_modules', '.chiral', 'reports');
rmSync(reports, { recursive: true, force: true });
mkdirSync(reports, { recursive: true });
const count = { passed: 0, failed: 0 };

function stage(name, command, args, options) {
  const started = Date.now();
  console.log(`\n${name}`);
  const status = run(command, args, options);
  console.log(`${name}: ${status === 0 ? 'good' : 'failed'}, ${Math.round((Date.now() - started) / 1000)} s`);
  return status;
}
const single = (name, ...rest) => (count[stage(name, ...rest) === 0 ? 'passed' : 'failed'] += 1);

single('Type check', 'npx', ['--no-install', 'astro', 'check', '--minimumSeverity', 'warning']);
single('Lint', 'npx', ['--no-install', 'eslint', '.', '--max-warnings', '0']);
single('Form', 'npx', ['--no-install', 'prettier', '--check', '--log-level', 'warn', '.']);
single('Unused', 'npx', ['--no-install', 'knip']);
ensureBuild();
count.passed += 1;
tally(
  'Unit tests',
  stage('Unit tests', 'npx', [
    '--no-install',
    'vitest',
    'run',
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${join(reports, 'unit.json')}`,
  ]),
  'unit.json',
  (report) => [report.numPassedTests, report.numFailedTests],
);
tally(
  'Browser tests',
  stage('Browser tests', 'npx', ['--no-install', 'playwright', 'test'], {
    env: { PLAYWRIGHT_JSON_OUTPUT_NAME: join(reports, 'browser.json') },
  }),
  'browser.json',
  (report) => [report.stats.expected, report.stats.unexpected + report.stats.flaky],
);

console.log(`\n${count.passed} passed, ${count.failed} failed`);
process.exit(count.failed === 0 ? 0 : 1);

/** Counts single tests; a runner that failed without naming a test, or ran none, counts as one failure. */
function tally(name, status, file, read) {
  const path = join(reports, file);
  const [passed, failed] = existsSync(path) ? read(JSON.parse(readFileSync(path, 'utf8'))) : [0, 0];
  count.passed += passed;
  count.failed += failed;
  if (failed === 0 && (status !== 0 || passed === 0)) {
    console.error(`${name}: the runner failed or found no test.`);
    count.failed += 1;
  }
}

function ensureChromium() {
  if (existsSync('/usr/bin/chromium') || process.env.CHIRAL_CHROMIUM) return;
  const apt = spawnSync('apt-get', ['--version']).status === 0;
  if (!apt || process.getuid?.() !== 0) {
    console.error(
      'The browser tests need Chromium. Install it (on Debian: apt-get install chromium), or set CHIRAL_CHROMIUM to where it is, then run npm test again.',
    );
    process.exit(1);
  }
  console.log('Installing Chromium for the browser tests.');
  run('apt-get', ['update'], { quiet: true });
  if (
    run('apt-get', ['install', '-y', '--no-install-recommends', 'chromium'], {
      quiet: true,
      env: { DEBIAN_FRONTEND: 'noninteractive' },
    }) !== 0
  )
    process.exit(1);
}
