// How an API route is written: parse, one use case, JSON. Limits the body and turns errors into answers.

import type { APIContext, APIRoute } from 'astro';
import type { Schema } from 'yup';
import { versionInput } from '../core/input';
import { getContext, type ShopContext } from './context';
import { answer, notFound, parseInput, ShopError, toResponse } from './errors';
import { readAsking, runAsked } from './heavy/asking';

const JSON_LIMIT_BYTES = 2 * 1024 * 1024;

export function endpoint(run: (input: { readonly shop: ShopContext; readonly api: APIContext }) => unknown): APIRoute {
  return async (api) => {
    try {
      const asking = readAsking(api.request, api.clientAddress);
      const result = await runAsked(asking, () => run({ shop: getContext(), api }));
      return result instanceof Response ? result : answer(result ?? { ok: true });
    } catch (error) {
      return toResponse(error);
    }
  };
}

/** The id in the path. @throws ShopError when it is none. */
export function readId(api: APIContext, what: string): number {
  const text = api.params['id'] ?? '';
  if (!/^[1-9]\d{0,14}$/.test(text)) throw notFound(what);
  return Number(text);
}

/** The body's bytes. @throws ShopError past the limit, without reading on. */
export async function readBody(request: Request, limitBytes: number): Promise<Uint8Array> {
  const tooLarge = () => new ShopError('too-large', { reason: 'body-too-large', limitBytes });
  if (Number(request.headers.get('content-length') ?? 0) > limitBytes) throw tooLarge();
  const chunks: Uint8Array[] = [];
  let total = 0;
  const reader = request.body?.getReader();
  while (reader) {
    const { done, value } = await reader.read();
    if (done) break;
    total += value.length;
    if (total > limitBytes) {
      await reader.cancel();
      throw tooLarge();
    }
    chunks.push(value);
  }
  return Buffer.concat(chunks);
}

const DEPTH_LIMIT = 40;
/** Keys that mean something to the language itself. */
const RESERVED_KEYS = new Set(['__proto__', 'constructor', 'prototype']);

/** The body as JSON, without keys that no honest page sends. @throws ShopError */
export async function readJson(request: Request): Promise<unknown> {
  return parseJson(new TextDecoder().decode(await readBody(request, JSON_LIMIT_BYTES)));
}

/** An empty object where nothing is sent. */
export async function readJsonIfAny(request: Request): Promise<unknown> {
  const text = new TextDecoder().decode(await readBody(request, JSON_LIMIT_BYTES));
  return text.trim() === '' ? {} : parseJson(text);
}

function parseJson(text: string): unknown {
  if (isNestedDeeper(text, DEPTH_LIMIT)) throw new ShopError('invalid', { reason: 'too-deep', limit: DEPTH_LIMIT });
  try {
    return JSON.parse(text, (key, value: unknown) => (RESERVED_KEYS.has(key) ? undefined : value)) as unknown;
  } catch (error) {
    if (error instanceof SyntaxError) throw new ShopError('invalid', { reason: 'not-json' });
    throw error;
  }
}

/** Looked at before it is parsed; brackets within texts don't count. */
function isNestedDeeper(text: string, limit: number): boolean {
  let depth = 0;
  for (const sign of text.replace(/"(?:[^"\\]|\\.)*"/g, '').match(/[[\]{}]/g) ?? []) {
    depth += sign === '[' || sign === '{' ? 1 : -1;
    if (depth > limit) return true;
  }
  return false;
}

/**
 * The three answers of a thing that is kept: PUT changes it (with the version it was read at), DELETE takes it off the
 * list, POST puts it back.
 */
export function editEndpoints<Input>(
  what: string,
  schema: Schema<Input>,
  keep: {
    readonly change: (shop: ShopContext, id: number, input: Input, version: number) => unknown;
    readonly archive: (shop: ShopContext, id: number, archived: boolean) => void;
  },
): { readonly PUT: APIRoute; readonly DELETE: APIRoute; readonly POST: APIRoute } {
  return {
    PUT: endpoint(async ({ shop, api }) => {
      const body = await readJson(api.request);
      return keep.change(shop, readId(api, what), parseInput(schema, body), parseInput(versionInput, body).version);
    }),
    DELETE: endpoint(({ shop, api }) => keep.archive(shop, readId(api, what), true)),
    POST: endpoint(({ shop, api }) => keep.archive(shop, readId(api, what), false)),
  };
}
