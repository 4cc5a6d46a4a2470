// How an API route is written: parse, one use case, JSON. Limits the body and turns errors into answers.

import type { APIContext, APIRoute } from 'astro';
import type { Schema } from 'yup';
import { versionInput } from '../core/input';
import { getContext, type ShopContext } from './context';
import { answer, notFound, parseInput, ShopError, toResponse } from './errors';

const JSON_LIMIT_BYTES = 2 * 1024 * 1024;

export function endpoint(run: (input: { readonly shop: ShopContext; readonly api: APIContext }) => unknown): APIRoute {
  return async (api) => {
    try {
      const result = await run({ shop: getContext(), api });
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

export async function readJson(request: Request): Promise<unknown> {
  const bytes = await readBody(request, JSON_LIMIT_BYTES);
  try {
    return JSON.parse(new TextDecoder().decode(bytes)) as unknown;
  } catch (error) {
    if (error instanceof SyntaxError) throw new ShopError('invalid', { reason: 'not-json' });
    throw error;
  }
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
