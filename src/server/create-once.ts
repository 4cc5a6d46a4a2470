// Creating once: a request that comes again after its answer was lost gets the first one's answer, and creates nothing.

import { createHash } from 'node:crypto';
import type { APIRoute } from 'astro';
import type { Schema } from 'yup';
import { inTransaction } from '../data/database';
import { addTakenRequest, deleteTakenRequests, findTakenRequest } from '../data/request-store';
import type { ShopContext } from './context';
import { endpoint, readJson } from './endpoint';
import { parseInput, ShopError } from './errors';

const KEY_HEADER = 'Idempotency-Key';
const KEY_LIMIT = 100;
/** A page that was left open over the weekend may still send again. */
const REMEMBERED_MS = 7 * 24 * 3600 * 1000;

type Request = {
  /** Null creates without remembering. */
  readonly key: string | null;
  /** What is asked for; another one under the same key is refused. */
  readonly asked: string;
};

/** The key a request came with. @throws ShopError for one that is too long to be kept. */
export function readRequestKey(request: { readonly headers: Headers }): string | null {
  const key = request.headers.get(KEY_HEADER);
  if (key !== null && key.length > KEY_LIMIT)
    throw new ShopError('invalid', { reason: 'key-too-long', limit: KEY_LIMIT });
  return key || null;
}

/**
 * Runs `create` and remembers its answer in the same transaction, or gives the answer that was remembered. `create` is
 * synchronous, as transactions are. Without a key it is created whole or not at all, and not remembered.
 */
export function createOnce<Answer extends object>(
  shop: ShopContext,
  { key, asked }: Request,
  create: () => Answer,
): Answer {
  const digest = createHash('sha256').update(asked).digest('hex');
  const atMs = shop.now();
  const run = (): object => {
    if (key === null) return create();
    const taken = findTakenRequest(shop.db, key);
    if (taken && taken.digest !== digest) throw new ShopError('conflict', { reason: 'created-before' });
    if (taken) return JSON.parse(taken.answer) as Answer;
    const answer = create();
    deleteTakenRequests(shop.db, atMs - REMEMBERED_MS);
    addTakenRequest(shop.db, { key, digest, answer: JSON.stringify(answer), atMs });
    return answer;
  };
  return inTransaction(shop.db, run) as Answer;
}

/** The POST of a list: checks what is sent and creates it once. `after` follows what was created, not its repetition;
 * `before` prepares what takes long, and hands it over. */
export function createEndpoint<Input, Answer extends object, Prepared = void>(
  schema: Schema<Input>,
  create: (shop: ShopContext, input: Input, prepared: Prepared) => Answer,
  after?: (shop: ShopContext, answer: Answer) => void,
  before?: (shop: ShopContext, input: Input) => Promise<Prepared>,
): APIRoute {
  return endpoint(async ({ shop, api }) => {
    const body = await readJson(api.request);
    const input = parseInput(schema, body);
    const request = { key: readRequestKey(api.request), asked: `${api.url.pathname} ${JSON.stringify(body)}` };
    // Without `before` nothing is asked of it.
    const prepared = (await before?.(shop, input)) as Prepared;
    let isNew = false;
    const answer = createOnce(shop, request, () => {
      isNew = true;
      return create(shop, input, prepared);
    });
    if (isNew) after?.(shop, answer);
    return answer;
  });
}
