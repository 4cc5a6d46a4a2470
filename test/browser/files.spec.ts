// Drawings as they come, good and bad, through the screen and through the endpoint; and what the server refuses.

import { expect, test } from '@playwright/test';
import { ShopServer } from './server';

const server = new ShopServer(4393, true);
test.beforeAll(() => server.start());
test.afterAll(() => server.remove());
const open = (body: string) => `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100">${body}</svg>`;

const BAD: readonly (readonly [string, string, RegExp])[] = [
  ['not a drawing', 'hello there', /not an SVG drawing/],
  ['empty', '', /file is empty/],
  ['truncated', '<svg xmlns="http://www.w3.org/2000/svg"><rect wid', /breaks off or is damaged at line 1/],
  [
    'with an entity from elsewhere',
    '<!DOCTYPE svg [<!ENTITY x SYSTEM "file:///etc/hostname">]><svg xmlns="http://www.w3.org/2000/svg"><text>&x;</text></svg>',
    /text from elsewhere, which is never fetched/,
  ],
  ['with only a link', open('<image href="https://elsewhere.example/x.png"/>'), /link to another file/],
  ['with only live text', open('<text>Hello</text>'), /Turn text into outlines/],
];

test('bad files are refused in words, and the app goes on', async ({ page, request }) => {
  const before = ((await (await request.get(`${server.address}/api/artwork`)).json()) as { artworks: unknown[] })
    .artworks.length;
  await page.goto(`${server.address}/artwork/new`, { waitUntil: 'networkidle' });
  for (const [name, text, words] of BAD) {
    await page
      .getByLabel('Drawing file')
      .setInputFiles({ name: `${name}.svg`, mimeType: 'image/svg+xml', buffer: Buffer.from(text) });
    await expect(page.getByRole('alert')).toContainText(words);
    const answer = await request.post(`${server.address}/api/artwork?name=x&fileName=x.svg&widthMm=100`, {
      data: Buffer.from(text),
    });
    expect(answer.status(), name).toBe(422);
    expect(((await answer.json()) as { error: { code: string; message: string } }).error.message).toMatch(words);
  }
  const huge = await request.post(`${server.address}/api/artwork/measure?widthMm=100`, {
    data: Buffer.alloc(20 * 1024 * 1024 + 10, 32),
  });
  expect(huge.status()).toBe(413);
  await page.getByLabel('Drawing file').setInputFiles({
    name: 'scripted.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(open('<script>window.ran=1</script><rect onload="window.ran=1" width="50" height="50"/>')),
  });
  await expect(page.getByText(/2 scripts left out/)).toBeVisible();
  expect(await page.evaluate(() => (window as { ran?: number }).ran)).toBeUndefined();
  const after = ((await (await request.get(`${server.address}/api/artwork`)).json()) as { artworks: unknown[] })
    .artworks.length;
  expect(after).toBe(before);
});

test('a pasted drawing is measured; its length is what Chromium says', async ({ page, request }) => {
  const path = 'M10 50C10 10 60 -10 90 30S40 120 10 50zM40 40a12 7 30 1 0 5 8z';
  await page.goto(`${server.address}/artwork/new`, { waitUntil: 'networkidle' });
  await page.evaluate(
    (text) => {
      const data = new DataTransfer();
      data.setData('text/plain', text);
      document.body.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true }));
    },
    open(`<path d="${path}"/>`),
  );
  await expect(page.getByRole('region', { name: 'Layers' })).toBeVisible();
  const ruler = await page.evaluate((d) => {
    const element = document.createElementNS('http://www.w3.org/2000/svg', 'path');
    element.setAttribute('d', d);
    const svg = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
    svg.append(element);
    document.body.append(svg);
    const answer = { length: element.getTotalLength(), width: element.getBBox().width };
    svg.remove();
    return answer;
  }, path);
  const answer = await request.post(`${server.address}/api/artwork/measure?widthMm=${ruler.width}`, {
    data: Buffer.from(open(`<path d="${path}"/>`)),
  });
  const { measurement } = (await answer.json()) as { measurement: { layers: { cutLengthMm: number }[] } };
  expect(Math.abs(measurement.layers[0]!.cutLengthMm / ruler.length - 1)).toBeLessThan(0.001);
});

test('the endpoint says what is wrong as JSON with the right status', async ({ request }) => {
  const check = async (
    status: number,
    code: string,
    path: string,
    options: Parameters<typeof request.post>[1] & { method?: string } = {},
    field?: string,
  ) => {
    const answer = await request.fetch(server.address + path, { method: 'POST', ...options });
    expect(answer.status(), path).toBe(status);
    const { error } = (await answer.json()) as { error: { code: string; message: string; field?: string } };
    expect(error.code).toBe(code);
    expect(error.message.length).toBeGreaterThan(10);
    if (field) expect(error.field).toBe(field);
  };
  await check(422, 'invalid', '/api/artwork/measure?widthMm=0', { data: 'x' });
  await check(
    422,
    'invalid',
    '/api/orders',
    {
      data: {
        customerName: 'x',
        title: 'y',
        dueDay: 'soon',
        agreed: 1,
        note: '',
        contact: '',
        lines: [{ itemId: 1, quantity: 1, sizeName: 'M', colourName: 'navy' }],
      },
    },
    'dueDay',
  );
  await check(422, 'invalid', '/api/orders', { headers: { 'Content-Type': 'application/json' }, data: '{broken' });
  await check(404, 'not-found', '/api/orders/777', { method: 'GET' });
  await check(404, 'not-found', '/api/nothing', { method: 'GET' });
  await check(409, 'conflict', '/api/orders/113/hand-over', { data: {} });
  await check(403, 'forbidden', '/api/orders/113/cancel', {
    data: {},
    headers: { Origin: 'https://elsewhere.example' },
  });
  await check(403, 'forbidden', '/api/orders/113/cancel', { data: {}, headers: { 'Sec-Fetch-Site': 'cross-site' } });
});
