// What the benchmarks of a running shop share: a server on a folder, a request and its time, what the server took.

import { spawn } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { request } from 'node:http';
import { join } from 'node:path';
import { root } from './prepare.mjs';

const CLOCK_TICK_MS = 10;
/** As `npm start` has it: V8 lets garbage lie about longer the more memory it may take. */
const HEAP = '--max-old-space-size=1536';

/** A server on the shop in this folder, once it answers. */
export async function startShop(folder, isDemo = false) {
  const port = 4600 + Math.floor(Math.random() * 300);
  const started = performance.now();
  const server = spawn('node', [HEAP, join('scripts', 'serve.mjs'), ...(isDemo ? ['--demo'] : [])], {
    cwd: root,
    env: { ...process.env, CHIRAL_DATA: folder, PORT: String(port) },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise((resolve, reject) => {
    server.stdout.on('data', (text) => String(text).includes('is open at') && resolve());
    server.once('exit', () => reject(new Error('The server did not start.')));
  });
  return { port, server, startMs: performance.now() - started };
}

/** Asks for a path; with a body, by POST. A `caller` is a window of its own. */
export function get(port, path, { body, caller = 'bench', signal } = {}) {
  return new Promise((resolve, reject) => {
    const started = performance.now();
    const text = body === undefined ? undefined : JSON.stringify(body);
    const wish = {
      method: text === undefined ? 'GET' : 'POST',
      headers: { 'Chiral-Window': caller, ...(text === undefined ? {} : { 'Content-Type': 'application/json' }) },
    };
    request({ port, path, host: '127.0.0.1', signal, ...wish }, (response) => {
      const chunks = [];
      response.on('data', (chunk) => chunks.push(chunk));
      response.on('end', () =>
        resolve({ status: response.statusCode, ms: performance.now() - started, body: Buffer.concat(chunks) }),
      );
    })
      .on('error', reject)
      .end(text);
  });
}

/** Only where the system tells: elsewhere these stay 0. */
export function readCpuMs(pid) {
  const file = `/proc/${pid}/stat`;
  if (!existsSync(file)) return 0;
  const fields = readFileSync(file, 'utf8').split(') ')[1].split(' ');
  return (Number(fields[11]) + Number(fields[12])) * CLOCK_TICK_MS;
}

export function readMemoryMb(pid) {
  const file = `/proc/${pid}/status`;
  return existsSync(file) ? Number(/VmRSS:\s+(\d+)/.exec(readFileSync(file, 'utf8'))?.[1] ?? 0) / 1024 : 0;
}
