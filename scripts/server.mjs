// The HTTP server: compressed answers, hashed files cached for good, everything else to the app.

import { createServer, get } from 'node:http';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import compression from 'compression';
import sirv from 'sirv';
import { makeAsked, warmUp } from './warm-up.mjs';

/** What the server asks of itself says so, and is not taken for somebody who waits. */
const OWN = { 'x-chiral-warm-up': '1' };

const KEPT_OPEN_MS = 75_000;

export async function serve() {
  const root = process.env.CHIRAL_ROOT;
  const host = process.env.HOST || '127.0.0.1';
  const port = Number(process.env.PORT || 4321);
  const { handler } = await import(pathToFileURL(join(root, 'dist', 'server', 'entry.mjs')).href);
  const compress = compression();
  const files = sirv(join(root, 'dist', 'client'), {
    setHeaders: (response, path) => {
      response.setHeader(
        'Cache-Control',
        path.startsWith('/_astro/') ? 'public, max-age=31536000, immutable' : 'public, max-age=3600',
      );
      response.setHeader('X-Content-Type-Options', 'nosniff');
    },
  });
  const asked = makeAsked();
  const server = createServer((request, response) => {
    if (!request.headers['x-chiral-warm-up']) asked.begin(response);
    compress(request, response, () =>
      files(request, response, () =>
        handler(request, response, (error) => {
          if (error) {
            response.statusCode = 500;
            return response.end(
              'Something went wrong in Chiral itself. Reload the page; if it stays, look at what the server printed.',
            );
          }
          // No page has this address: the page that says so.
          request.url = '/404';
          return handler(request, response, () => response.end());
        }),
      ),
    );
  });
  server.on('error', (error) => {
    console.error(
      error.code === 'EADDRINUSE'
        ? `Port ${port} is taken, perhaps by another Chiral. Stop that one, or choose another: PORT=4322 npm start`
        : error.message,
    );
    process.exit(1);
  });
  // Who used a connection before uses it again: were it closed just then, what is sent would be lost.
  server.keepAliveTimeout = KEPT_OPEN_MS;
  const stop = () => server.close(() => process.exit(0)) && server.closeAllConnections();
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
  await new Promise((resolve) => server.listen(port, host, resolve));
  // The first page loads most of the program; it is asked for here, so that nobody waits for it.
  const origin = `http://${host.includes(':') ? `[${host}]` : host}:${port}`;
  await askOnce(origin);
  console.log(
    `${process.env.CHIRAL_DEMO === '1' ? 'The demo shop' : 'Your shop'} is open at http://${host === '127.0.0.1' ? 'localhost' : host}:${port}`,
  );
  void warmUp(origin, OWN, asked);
}

/** A plain request: `fetch` takes a while to be loaded, and the shop opens the sooner without it. */
const askOnce = (address) =>
  new Promise((resolve, reject) => {
    get(address, { headers: OWN }, (answer) => answer.resume().on('end', resolve)).on('error', reject);
  });
