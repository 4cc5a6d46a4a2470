// How screens talk to the server: JSON, with errors that carry words and the field they are about.

export class ApiError extends Error {
  constructor(readonly code: string, message: string, readonly field?: string) {
    super(message);
    this.name = 'ApiError';
  }
}

const UNREACHABLE = 'Chiral does not answer. Your entries are still here: check that it is running, then try again.';

export async function callApi<T>(method: 'GET' | 'POST' | 'PUT' | 'DELETE', path: string, body?: unknown, signal?: AbortSignal): Promise<T> {
  const file = body instanceof Blob;
  let response: Response;
  try {
    response = await fetch(path, { method, signal: signal ?? null, headers: body === undefined || file ? {} : { 'Content-Type': 'application/json' }, body: body === undefined ? null : file ? body : JSON.stringify(body) });
  } catch (error) {
    if (error instanceof TypeError) throw new ApiError('unreachable', UNREACHABLE);
    throw error;
  }
  const text = await response.text();
  const data = (text ? JSON.parse(text) : {}) as T & { error?: { code: string; message: string; field?: string } };
  if (!response.ok) throw new ApiError(data.error?.code ?? 'failed', data.error?.message ?? UNREACHABLE, data.error?.field);
  return data;
}

/** What to tell when a call failed. @throws the error itself when it is none of a call. */
export function wordsOf(error: unknown): string {
  if (error instanceof ApiError) return error.message;
  throw error;
}
