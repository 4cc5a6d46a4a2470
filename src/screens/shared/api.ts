// How screens talk to the server: JSON, with errors that carry words and the field they are about.

import { keepOpen } from './open-calls';
import { tellChange, windowHeaders } from './this-window';

export class ApiError extends Error {
  constructor(
    readonly code: string,
    message: string,
    readonly field?: string,
    /** Why, as a code finer than `code`: `due-past`. */
    readonly reason?: string,
  ) {
    super(message);
    this.name = 'ApiError';
  }
}

const UNREACHABLE = 'Chiral does not answer. Your entries are still here: check that it is running, then try again.';

const STOPPED = 'Stopped. Your entries are still here. Try again when you like.';

type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';
type ErrorAnswer = {
  readonly error?: {
    readonly code: string;
    readonly message: string;
    readonly field?: string;
    readonly reason?: string;
  };
};
type Sent = { readonly body?: unknown; readonly signal?: AbortSignal | undefined; readonly key?: string };

export async function callApi<T>(method: Method, path: string, body?: unknown, signal?: AbortSignal): Promise<T> {
  return readAnswer(await send(method, path, { body, signal }));
}

/** Creates something once: sent again under the same key after a lost answer, it creates nothing twice. */
export async function createByApi<T>(path: string, body: unknown, key: string): Promise<T> {
  return readAnswer(await send('POST', path, { body, key }));
}

async function readAnswer<T>(response: Response): Promise<T> {
  const text = await response.text();
  return (text ? JSON.parse(text) : {}) as T;
}

/** A file that the server makes, from another one where it is given. */
export const fetchFile = async (path: string, body?: Blob): Promise<Blob> =>
  (await send(body ? 'POST' : 'GET', path, { body })).blob();

/** The answer, when it is a good one. @throws ApiError in words otherwise. */
async function send(method: Method, path: string, { body, signal, key }: Sent): Promise<Response> {
  const file = body instanceof Blob;
  let open: Awaited<ReturnType<typeof keepOpen<Response>>>;
  try {
    const wish: RequestInit = {
      method,
      headers: {
        ...windowHeaders(),
        ...(body === undefined || file ? {} : { 'Content-Type': 'application/json' }),
        ...(key === undefined ? {} : { 'Idempotency-Key': key }),
      },
      body: body === undefined ? null : file ? body : JSON.stringify(body),
    };
    open = await keepOpen(signal, (stoppable) => fetch(path, { ...wish, signal: stoppable }));
  } catch (error) {
    if (error instanceof TypeError) throw new ApiError('unreachable', UNREACHABLE);
    throw error;
  }
  if ('stopped' in open) throw new ApiError('stopped', STOPPED);
  const response = open.answer;
  if (response.ok) {
    if (method !== 'GET') tellChange();
    return response;
  }
  const text = await response.text();
  const { error } = (text.startsWith('{') ? JSON.parse(text) : {}) as ErrorAnswer;
  throw new ApiError(error?.code ?? 'failed', error?.message ?? UNREACHABLE, error?.field, error?.reason);
}

/** What to tell when a call failed. @throws the error itself when it is none of a call. */
export function wordsOf(error: unknown): string {
  if (error instanceof ApiError) return error.message;
  throw error;
}
