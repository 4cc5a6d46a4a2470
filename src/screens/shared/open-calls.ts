// What this window has asked the server for and still waits for, so that it can be told and stopped from one place.

export type OpenCall = { readonly sinceMs: number; readonly stop: () => void };

let open: readonly OpenCall[] = [];
const listeners = new Set<() => void>();

function set(next: readonly OpenCall[]): void {
  open = next;
  for (const listener of listeners) listener();
}

export const getOpenCalls = (): readonly OpenCall[] => open;

export function subscribeOpenCalls(listener: () => void): () => void {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}

/** Runs a call that the user may stop. `wasStopped` tells afterwards whether he did. */
export async function keepOpen<Answer>(
  own: AbortSignal | undefined,
  run: (signal: AbortSignal) => Promise<Answer>,
): Promise<{ readonly answer: Answer } | { readonly stopped: true }> {
  const byUser = new AbortController();
  const call: OpenCall = { sinceMs: performance.now(), stop: () => byUser.abort() };
  set([...open, call]);
  try {
    return { answer: await run(own ? AbortSignal.any([own, byUser.signal]) : byUser.signal) };
  } catch (error) {
    if (byUser.signal.aborted) return { stopped: true };
    throw error;
  } finally {
    set(open.filter((other) => other !== call));
  }
}
