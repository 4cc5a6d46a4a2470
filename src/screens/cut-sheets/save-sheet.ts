// A load is kept as it is worked on: soon after each change, and at once when the page goes away.

import { useCallback, useEffect, useRef, useState } from 'react';
import type { CutSheet } from '../../core/orders';
import { ApiError, callApi } from '../shared/api';

export type KeptId = { readonly id: number; readonly version: number };
/** Changes that come sooner after one another are kept together, ms. */
const PAUSE_MS = 700;

/** `problem` says why it is not kept any more: another window was quicker. It is tried again with the next change. */
export function useKeptSheet(
  vinylId: number,
  start: KeptId | null,
  onKept: (kept: KeptId, sheet: CutSheet) => void,
): {
  readonly keep: (sheet: CutSheet) => void;
  readonly kept: () => KeptId | null;
  readonly problem: string | null;
  readonly forget: () => void;
  readonly settle: () => Promise<void>;
} {
  const kept = useRef(start),
    waiting = useRef<CutSheet | null>(null),
    timer = useRef<number | undefined>(undefined),
    sending = useRef<Promise<void> | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const told = useRef(onKept);
  useEffect(() => void (told.current = onKept), [onKept]);
  const send = useCallback(async () => {
    window.clearTimeout(timer.current);
    await sending.current;
    const sheet = waiting.current;
    if (!sheet) return;
    waiting.current = null;
    const run = async () => {
      try {
        const before = kept.current;
        kept.current = before
          ? await callApi<KeptId>('PUT', `/api/cut-sheets/kept/${before.id}`, {
              vinylId,
              version: before.version,
              sheet,
            })
          : await callApi<KeptId>('POST', '/api/cut-sheets/kept', { vinylId, sheet });
        setProblem(null);
        told.current(kept.current, sheet);
      } catch (error) {
        if (!(error instanceof ApiError)) throw error;
        // What can't be reached just now is sent again; what was refused waits for a change.
        if (error.code === 'unreachable') waiting.current ??= sheet;
        setProblem(error.message);
      }
    };
    sending.current = run().finally(() => (sending.current = null));
    await sending.current;
  }, [vinylId]);
  const keep = useCallback(
    (sheet: CutSheet) => {
      waiting.current = sheet;
      window.clearTimeout(timer.current);
      timer.current = window.setTimeout(() => void send(), PAUSE_MS);
    },
    [send],
  );
  useEffect(() => {
    // A page that goes away can't wait for an answer: the request outlives it.
    const leave = () => {
      const sheet = waiting.current,
        before = kept.current;
      if (!sheet || sending.current) return;
      waiting.current = null;
      void fetch(before ? `/api/cut-sheets/kept/${before.id}` : '/api/cut-sheets/kept', {
        method: before ? 'PUT' : 'POST',
        keepalive: true,
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ vinylId, sheet, ...(before ? { version: before.version } : {}) }),
      });
    };
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      void send();
    };
  }, [send, vinylId]);
  const forget = useCallback(() => {
    window.clearTimeout(timer.current);
    waiting.current = null;
    kept.current = null;
  }, []);
  return { keep, kept: () => kept.current, problem, forget, settle: send };
}
