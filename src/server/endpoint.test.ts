import { describe, expect, it } from 'vitest';
import * as yup from 'yup';
import { shortText } from '../core/input/rules';
import { readBody, readId, readJson } from './endpoint';
import { answer, log, notFound, parseInput, ShopError, stale, toResponse } from './errors';

const post = (body: BodyInit, headers: Record<string, string> = {}) =>
  new Request('http://localhost/api', { method: 'POST', body, headers });
/** A body that never says how long it is. */
const stream = (chunks: number, size: number) =>
  new Request('http://localhost/api', {
    method: 'POST',
    duplex: 'half',
    body: new ReadableStream({
      start(controller) {
        for (let chunk = 0; chunk < chunks; chunk++) controller.enqueue(new Uint8Array(size));
        controller.close();
      },
    }),
  } as RequestInit);
const codeOf = async (run: () => unknown): Promise<string> => {
  try {
    await run();
    return 'done';
  } catch (error) {
    return error instanceof ShopError ? error.code : String(error);
  }
};

describe('bodies', () => {
  it('are read up to the limit and refused past it, announced or not', async () => {
    expect((await readBody(post('x'.repeat(100)), 100)).length).toBe(100);
    expect((await readBody(stream(4, 25), 100)).length).toBe(100);
    expect((await readBody(new Request('http://localhost/api', { method: 'POST' }), 100)).length).toBe(0);
    expect(await codeOf(() => readBody(post('x'.repeat(101)), 100))).toBe('too-large');
    expect(await codeOf(() => readBody(stream(5, 25), 100))).toBe('too-large');
  });

  it('that are no JSON are told so', async () => {
    expect(await readJson(post('{"a":"ü"}'))).toEqual({ a: 'ü' });
    for (const broken of ['{', 'undefined', '', '{"a":}'])
      expect(await codeOf(() => readJson(post(broken)))).toBe('invalid');
  });
});

describe('bodies that no honest page sends', () => {
  const post = (body: string) => new Request('http://localhost/', { method: 'POST', body });
  const schema = yup.object({
    name: shortText('Name'),
    lines: yup.array(yup.object({ quantity: yup.number().required() })).required(),
  });
  const sent = async (body: string) => parseInput(schema, await readJson(post(body)));

  it('keys of the language itself are dropped', async () => {
    const value = await readJson(post('{"__proto__":{"a":1},"constructor":2,"b":{"prototype":3,"c":4}}'));
    expect(value).toEqual({ b: { c: 4 } });
  });

  it.each([
    ['{"name":{"a":1},"lines":[]}', 'name', /write a text/],
    ['{"name":["x"],"lines":[]}', 'name', /write a text/],
    ['{"name":"x","lines":null}', 'lines', /^lines: it is missing/],
    ['{"name":"x","lines":[null]}', 'lines[0]', /^lines\[0\]: it is missing/],
    ['{"name":"x","lines":{"length":3}}', 'lines', /^lines: that is not what belongs there/],
    ['null', undefined, /^The request: it is missing/],
    ['[]', undefined, /^The request: that is not what belongs there/],
  ])('%s is refused at its field, in our own words', async (body, field, words) => {
    const refused = await sent(body).then(
      () => null,
      (error: unknown) => error,
    );
    expect(refused).toMatchObject({ code: 'invalid', message: expect.stringMatching(words) as string });
    expect((refused as ShopError).field).toBe(field);
  });

  it('what is nested without end is refused before it is read, and long texts with brackets are not', async () => {
    expect(await codeOf(() => readJson(post('['.repeat(500_000))))).toBe('invalid');
    const text = '[{'.repeat(500);
    expect(await readJson(post(JSON.stringify({ text })))).toEqual({ text });
  });
});

describe('ids in an address', () => {
  const api = (id: string) => ({ params: { id } }) as never;
  it('are whole numbers from 1', () => expect(readId(api('42'), 'This order')).toBe(42));
  it.each(['0', '-1', '1.5', 'abc', '', '1e3', '99999999999999999', '7; drop'])('%s is none', async (id) => {
    expect(await codeOf(() => readId(api(id), 'This order'))).toBe('not-found');
  });
});

describe('errors become answers', () => {
  it.each([
    [notFound('This order'), 404, 'not-found'],
    [stale('This order'), 409, 'stale'],
    [new ShopError('conflict', { reason: 'not-json' }), 409, 'conflict'],
    [new ShopError('invalid', { reason: 'not-json' }, 'dueDay'), 422, 'invalid'],
    [new ShopError('unreadable', { reason: 'not-json' }), 422, 'unreadable'],
    [new ShopError('too-large', { reason: 'not-json' }), 413, 'too-large'],
    [new ShopError('forbidden', { reason: 'not-json' }), 403, 'forbidden'],
    [new ShopError('busy', { reason: 'not-json' }), 503, 'busy'],
  ])('%s', async (error, status, code) => {
    const response = toResponse(error);
    expect(response.status).toBe(status);
    const body = (await response.json()) as { error: { code: string; message: string; field?: string } };
    expect(body.error.code).toBe(code);
    expect(body.error.field).toBe(error.field);
    expect(response.headers.get('content-type')).toMatch(/^application\/json/);
  });

  it('a bug shows nothing of itself', async () => {
    log.level = 'silent';
    const response = toResponse(new Error('secret at line 7'));
    expect(response.status).toBe(500);
    expect(await response.text()).not.toContain('secret');
  });

  it('the first field that can’t stay is named', () => {
    const schema = yup.object({
      lines: yup.array(yup.object({ quantity: yup.number().min(1, 'Quantity: from 1.').required() })).required(),
    });
    expect(parseInput(schema, { lines: [{ quantity: 3 }], extra: 1 })).toEqual({ lines: [{ quantity: 3 }] });
    try {
      parseInput(schema, { lines: [{ quantity: 3 }, { quantity: 0 }] });
      throw new Error('it was taken');
    } catch (error) {
      expect(error).toMatchObject({ code: 'invalid', field: 'lines[1].quantity', message: 'Quantity: from 1.' });
    }
  });

  it('answers are not kept by anyone', () => expect(answer({ a: 1 }).headers.get('cache-control')).toBe('no-store'));
});
