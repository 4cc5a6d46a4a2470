// How screens talk to the server: JSON, with errors that carry words and the field they are about.

export class ApiError extends Error {
  constructor(
    readonly code: string,
    message: string,
    readonly field?: string,
  ) {
    super(message);
    this.name = 'ApiError';
  }
}

const UNREACHABLE = 'Chiral does not answer. Your entries are still here: check that it is running, then try again.';

type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';
type ErrorAnswer = { readonly error?: { readonly code: string; readonly message: string; readonly field?: string } };

export async function callApi<T>(method: Method, path: string, body?: unknown, signal?: AbortSignal): Promise<T> {
  const response = await send(method, path, body, signal);
  const text = await response.text();
  return (text ? JSON.parse(text) : {}) as T;
}

/** A file that the server makes, from another one where it is given. */
export const fetchFile = async (path: string, body?: Blob): Promise<Blob> =>
  (await send(body ? 'POST' : 'GET', path, body)).blob();

/** The answer, when it is a good one. @throws ApiError in words otherwise. */
async function send(method: Method, path: string, body?: unknown, signal?: AbortSignal): Promise<Response> {
  const file = body instanceof Blob;
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      signal: signal ?? null,
      headers: body === undefined || file ? {} : { 'Content-Type': 'application/json' },
      body: body === undefined ? null : file ? body : JSON.stringify(body),
    });
  } catch (error) {
    if (error instanceof TypeError) throw new ApiError('unreachable', UNREACHABLE);
    throw error;
  }
  if (response.ok) return response;
  const text = await response.text();
  const { error } = (text.startsWith('{') ? JSON.parse(text) : {}) as ErrorAnswer;
  throw new ApiError(error?.code ?? 'failed', error?.message ?? UNREACHABLE, error?.field);
}

/** What to tell when a call failed. @throws the error itself when it is none of a call. */
export function wordsOf(error: unknown): string {
  if (error instanceof ApiError) return error.message;
  throw error;
}
