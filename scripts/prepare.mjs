// Brings a checkout to where it can run: the right packages, a fresh build. Does only what is out of date.

import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));
process.env.ASTRO_TELEMETRY_DISABLED = '1';

const [major, minorVersion] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minorVersion < 19)) {
  console.error(
    `Chiral needs Node.js 20.19 or newer; this is ${process.versions.node}. Install a newer Node.js, then run the command again.`,
  );
  process.exit(1);
}

export function run(command, args, { env = {}, quiet = false } = {}) {
  const result = spawnSync(command, args, {
    cwd: root,
    stdio: quiet ? 'pipe' : 'inherit',
    env: { ...process.env, ...env },
    encoding: 'utf8',
  });
  if (result.error) console.error(`${command} could not be started: ${result.error.message}`);
  if (quiet && result.status !== 0) console.error(`${result.stdout ?? ''}${result.stderr ?? ''}`);
  return result.status ?? 1;
}

function hashFiles(paths) {
  const hash = createHash('sha256');
  const add = (path) => {
    const full = join(root, path);
    if (!existsSync(full)) return;
    if (statSync(full).isDirectory()) for (const name of readdirSync(full).sort()) add(join(path, name));
    else if (!/\.test\.tsx?$/.test(path)) hash.update(path).update(readFileSync(full));
  };
  paths.forEach(add);
  return hash.update(process.versions.modules).digest('hex');
}

const stampFile = (name) => join(root, 'node_modules', '.chiral', name);
const readStamp = (name) => (existsSync(stampFile(name)) ? readFileSync(stampFile(name), 'utf8') : '');
function writeStamp(name, value) {
  mkdirSync(dirname(stampFile(name)), { recursive: true });
  writeFileSync(stampFile(name), value);
}

const PROGRESS_EVERY_MS = 20_000;

/** Runs a long command without its chatter: a line every so often says that it goes on, and what it said if it fails. */
function runLong(what, command, args) {
  return new Promise((resolve) => {
    const started = Date.now();
    let said = '';
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
    const keep = (text) => (said += text);
    child.stdout.on('data', keep);
    child.stderr.on('data', keep);
    const tick = setInterval(
      () => console.log(`  ${what}: ${Math.round((Date.now() - started) / 1000)} s so far`),
      PROGRESS_EVERY_MS,
    );
    const end = (status, reason) => {
      clearInterval(tick);
      if (status !== 0) console.error(reason ?? said);
      resolve(status);
    };
    child.on('error', (error) => end(1, `${command} could not be started: ${error.message}`));
    child.on('close', (status) => end(status ?? 1));
  });
}

export async function ensurePackages() {
  const wanted = hashFiles(['package-lock.json', '.npmrc']);
  if (readStamp('packages') === wanted) return;
  console.log('Installing packages. The database driver is compiled for this machine: about two minutes, once.');
  const args = ['ci', '--no-audit', '--no-fund', '--loglevel=error'];
  if ((await runLong('Installing packages', 'npm', args)) !== 0) {
    console.error(
      'Installing the packages failed; what npm said stands above. A C++ compiler, make and Python 3 are needed for the database driver.',
    );
    process.exit(1);
  }
  writeStamp('packages', wanted);
}

const SOURCES = ['src', 'public', 'astro.config.mjs', 'tsconfig.json', 'package-lock.json', 'scripts/build.mjs'];

export function ensureBuild() {
  const wanted = hashFiles(SOURCES);
  if (readStamp('build') === wanted && existsSync(join(root, 'dist', 'server', 'entry.mjs'))) return;
  console.log('Building, about a minute.');
  if (run('node', [join('scripts', 'build.mjs')], { quiet: true }) !== 0) {
    console.error('The build failed; the reason stands above.');
    process.exit(1);
  }
  writeStamp('build', wanted);
}
