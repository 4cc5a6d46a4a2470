// Around every answer: only this site's own pages may change anything, and what a page may load is closed down.

import type { MiddlewareHandler } from 'astro';
import { putScreensIn } from './layouts/react-renderer';
import { workBehindPages } from './server/behind-pages';
import { refuse } from './server/errors';
import { getContext } from './server/context';
import { isHostAllowed } from './server/hosts';

const SAFE_METHODS = new Set(['GET', 'HEAD', 'OPTIONS']);

export const onRequest: MiddlewareHandler = async ({ request }, next) => {
  workBehindPages(getContext);
  if (!isHostAllowed(request.headers.get('host'), process.env))
    return secure(refuse('forbidden', { reason: 'unknown-host', host: request.headers.get('host') ?? '' }, 421), []);
  if (!SAFE_METHODS.has(request.method) && !comesFromHere(request)) {
    return secure(refuse('forbidden', { reason: 'other-site' }, 403), []);
  }
  const response = await next();
  // An address of the API that lacks the method: Astro itself answers, without any words.
  if (response.status === 404 && isApi(request) && !response.headers.has('content-type'))
    return secure(refuse('invalid', { reason: 'wrong-method', method: request.method }, 405), []);
  if (!response.headers.get('content-type')?.startsWith('text/html')) return secure(response, []);
  const { html, policy } = takePolicyOut(putScreensIn(await response.text(), request));
  const scriptHashes = readScriptHashes(response.headers.get('content-security-policy') ?? policy);
  const headers = new Headers(response.headers);
  headers.delete('content-length');
  // Kept for Back and Forward; a page that comes back asks whether anything changed (use-changes.ts).
  headers.set('Cache-Control', 'private, no-cache');
  return secure(
    new Response(html, { status: response.status, statusText: response.statusText, headers }),
    scriptHashes,
  );
};

const isApi = ({ url }: Request) => new URL(url).pathname.startsWith('/api/');

/** Browsers send Origin with every change; a script without a browser sends none, and no page can make it do so. */
function comesFromHere(request: Request): boolean {
  const origin = request.headers.get('origin');
  const site = request.headers.get('sec-fetch-site');
  if (site && site !== 'same-origin' && site !== 'none') return false;
  if (!origin) return true;
  const host = request.headers.get('host');
  return URL.canParse(origin) && new URL(origin).host === host;
}

/** The hashes of the scripts that start the islands, as the build gathered them. */
function readScriptHashes(policy: string): readonly string[] {
  return (/script-src([^;]*)/.exec(policy)?.[1] ?? '').match(/'sha(256|384|512)-[^']+'/g) ?? [];
}

/** The built-in policy goes into the header instead. */
function takePolicyOut(page: string): { html: string; policy: string } {
  let policy = '';
  const html = page.replace(/<meta http-equiv="content-security-policy" content="([^"]*)">/i, (_, found: string) => {
    policy = found;
    return '';
  });
  return { html, policy };
}

function secure(response: Response, scriptHashes: readonly string[]): Response {
  const { headers } = response;
  headers.set(
    'Content-Security-Policy',
    [
      "default-src 'self'",
      `script-src 'self' ${scriptHashes.join(' ')}`.trim(),
      "style-src 'self' 'unsafe-inline'",
      "img-src 'self' data: blob:",
      "font-src 'self'",
      "connect-src 'self'",
      "worker-src 'self'",
      "object-src 'none'",
      "base-uri 'none'",
      "form-action 'self'",
      "frame-ancestors 'none'",
    ].join('; '),
  );
  headers.set('X-Content-Type-Options', 'nosniff');
  headers.set('Referrer-Policy', 'same-origin');
  headers.set('Cross-Origin-Opener-Policy', 'same-origin');
  headers.set('Cross-Origin-Resource-Policy', 'same-origin');
  return response;
}
