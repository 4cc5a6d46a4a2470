// Who asks for what is being worked out, and whether they are still there: known to heavy work without being handed
// through every use case on the way.

import { AsyncLocalStorage } from 'node:async_hooks';

export type Asking = {
  /** A window of the shop, or an address without one: whose turn it is goes by this. */
  readonly caller: string;
  /** Fires when whoever asked has left: nobody waits for the answer. */
  readonly signal: AbortSignal | null;
};

/** What nobody asked for: laying out after saving, measuring anew at start. It takes turns like anyone. */
const NOBODY: Asking = { caller: '', signal: null };

const current = new AsyncLocalStorage<Asking>();

export const getAsking = (): Asking => current.getStore() ?? NOBODY;

export const runAsked = <Answer>(asking: Asking, run: () => Answer): Answer => current.run(asking, run);

/** Goes on after the answer, for nobody: who asked for it first may leave. */
export const runForNobody = <Answer>(run: () => Answer): Answer => current.run(NOBODY, run);

const WINDOW_HEADER = 'chiral-window';

export const readAsking = (request: Request, address: string): Asking => ({
  caller: request.headers.get(WINDOW_HEADER)?.slice(0, 64) || address,
  signal: request.signal,
});
