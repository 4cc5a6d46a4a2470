import { describe, expect, it } from 'vitest';
import { onRequest } from './middleware';

type Input = { method?: string; headers?: Record<string, string> };
const PAGE =
  "<!doctype html><html><head><meta http-equiv=\"content-security-policy\" content=\"script-src 'self' 'sha256-abc='; style-src 'self'\"></head><body><p>Hi</p></body></html>";
async function send(
  { method = 'GET', headers = {} }: Input,
  body = PAGE,
  type = 'text/html',
): Promise<{ response: Response; reached: boolean }> {
  let reached = false;
  const request = new Request('http://localhost:4321/orders', {
    method,
    headers: { host: 'localhost:4321', ...headers },
  });
  const response = await onRequest({ request } as never, () => {
    reached = true;
    return Promise.resolve(new Response(body, { headers: { 'Content-Type': type } }));
  });
  return { response: response as Response, reached };
}

describe('who may change anything', () => {
  it.each([
    ['this site’s own page', { Origin: 'http://localhost:4321', 'Sec-Fetch-Site': 'same-origin' }],
    ['a script without a browser', {}],
    ['the address bar', { 'Sec-Fetch-Site': 'none' }],
  ])('%s', async (_, headers) => {
    for (const method of ['POST', 'PUT', 'DELETE']) expect((await send({ method, headers })).reached).toBe(true);
  });

  it.each([
    ['a page of another site', { Origin: 'https://elsewhere.example', 'Sec-Fetch-Site': 'cross-site' }],
    ['another site that hides where it fetches from', { Origin: 'https://elsewhere.example' }],
    ['another port of this machine', { Origin: 'http://localhost:9999' }],
    ['a sandboxed frame', { Origin: 'null' }],
    ['a site of the same domain', { 'Sec-Fetch-Site': 'same-site' }],
    ['an origin that is none', { Origin: 'nonsense' }],
  ])('not %s, and it is told in words', async (_, headers) => {
    for (const method of ['POST', 'PUT', 'DELETE', 'PATCH']) {
      const { response, reached } = await send({ method, headers });
      expect([response.status, reached]).toEqual([403, false]);
      const { error } = (await response.json()) as { error: { code: string; message: string } };
      expect(error.code).toBe('forbidden');
      expect(error.message).toMatch(/was not made\. Open Chiral itself/);
    }
  });

  it('nobody under another name than its own: a site whose name was led here neither reads nor writes', async () => {
    for (const method of ['GET', 'POST']) {
      const { response, reached } = await send({ method, headers: { host: 'elsewhere.example:4321' } });
      expect([response.status, reached]).toEqual([421, false]);
      const { error } = (await response.json()) as { error: { reason: string; message: string } };
      expect(error.reason).toBe('unknown-host');
      expect(error.message).toContain('CHIRAL_HOSTS=elsewhere.example');
    }
  });

  it('anyone here may look', async () => {
    expect(
      (await send({ headers: { Origin: 'https://elsewhere.example', 'Sec-Fetch-Site': 'cross-site' } })).reached,
    ).toBe(true);
  });
});

describe('every answer', () => {
  it('closes down what a page may load, with the hashes of its own scripts only', async () => {
    const { response } = await send({});
    const policy = response.headers.get('content-security-policy')!;
    expect(policy).toContain("script-src 'self' 'sha256-abc='");
    expect(policy).toContain("default-src 'self'");
    expect(policy).toContain("object-src 'none'");
    expect(policy).toContain("frame-ancestors 'none'");
    expect(policy.match(/script-src[^;]*/)![0]).not.toContain('unsafe');
    expect(await response.text()).not.toContain('http-equiv');
  });

  it('is not sniffed, framed or kept, pages and data alike', async () => {
    for (const [body, type] of [
      [PAGE, 'text/html'],
      ['{}', 'application/json'],
    ] as const) {
      const { response } = await send({}, body, type);
      expect(response.headers.get('x-content-type-options')).toBe('nosniff');
      expect(response.headers.get('cross-origin-resource-policy')).toBe('same-origin');
      expect(response.headers.get('referrer-policy')).toBe('same-origin');
    }
    expect((await send({})).response.headers.get('cache-control')).toBe('private, no-cache');
    expect(await (await send({}, '{"a":1}', 'application/json')).response.text()).toBe('{"a":1}');
  });
});
