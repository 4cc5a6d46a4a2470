// What a request can be answered with when it can't be done, and how that becomes HTTP.

import { pino } from 'pino';
import { ValidationError, type Schema } from 'yup';
import { describeRefusal, type Refusal } from '../wording/refusals';

export const log = pino({ name: 'chiral', level: process.env['CHIRAL_LOG'] ?? 'warn' });

export type ErrorCode =
  'invalid' | 'not-found' | 'stale' | 'conflict' | 'too-large' | 'unreadable' | 'forbidden' | 'busy' | 'failed';
const STATUS: Readonly<Record<ErrorCode, number>> = {
  invalid: 422,
  'not-found': 404,
  stale: 409,
  conflict: 409,
  'too-large': 413,
  unreadable: 422,
  forbidden: 403,
  busy: 503,
  failed: 500,
};

/** Something the seller can do something about. */
export class ShopError extends Error {
  constructor(
    readonly code: ErrorCode,
    readonly refusal: Refusal,
    /** Path of the input that can't stay as it is, as `lines[0].itemId`. */
    readonly field?: string,
  ) {
    super(describeRefusal(refusal));
    this.name = 'ShopError';
  }
}

export const notFound = (what: string): ShopError => new ShopError('not-found', { reason: 'not-here', what });
export const stale = (what: string): ShopError => new ShopError('stale', { reason: 'changed-meanwhile', what });

/** The checked value. @throws ShopError naming the first field that can't stay as it is. */
export function parseInput<T>(schema: Schema<T>, value: unknown): T {
  try {
    return schema.validateSync(value, { abortEarly: true, stripUnknown: true });
  } catch (error) {
    if (error instanceof ValidationError)
      throw new ShopError('invalid', toFieldRefusal(error), error.path || undefined);
    // A value that a check stumbled over instead of refusing it: a function's name for a key, a list for a text.
    if (error instanceof TypeError || error instanceof RangeError)
      throw new ShopError('invalid', { reason: 'bad-shape' });
    throw error;
  }
}

/** Words of the checks' library, which say nothing to a seller. */
const LIBRARY_WORDS = /(is a required field|cannot be null|must be |must match |must have )/;

function toFieldRefusal({ message, path, type }: ValidationError): Refusal {
  if (!LIBRARY_WORDS.test(message)) return { reason: 'bad-field', message };
  const isMissing = type === 'required' || type === 'optionality' || type === 'nullable' || type === 'defined';
  return { reason: isMissing ? 'field-missing' : 'field-wrong', field: path || 'The request' };
}

export function toResponse(error: unknown): Response {
  if (error instanceof ShopError) return answer({ error: toBody(error) }, STATUS[error.code]);
  log.error({ err: error }, 'request failed');
  return answer({ error: toBody(new ShopError('failed', { reason: 'failed' })) }, STATUS.failed);
}

const toBody = ({ code, refusal, message, field }: ShopError) => ({
  code,
  reason: refusal.reason,
  message,
  ...(field ? { field } : {}),
});

/** The answer to a request that reaches no use case. */
export const refuse = (code: ErrorCode, refusal: Refusal, status = STATUS[code]): Response =>
  answer({ error: toBody(new ShopError(code, refusal)) }, status);

export function answer(body: unknown, status = 200): Response {
  return new Response(JSON.stringify(body), {
    status,
    headers: { 'Content-Type': 'application/json; charset=utf-8', 'Cache-Control': 'no-store' },
  });
}
