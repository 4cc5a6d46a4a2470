// A load is saved as it is worked on: soon after each change, and at once when the page goes away.

import { useCallback, useEffect, useRef, useState } from 'react';
import type { CutSheet } from '../../core/orders';
import { ApiError, callApi, createByApi } from '../shared/api';

export type SavedSheetId = { readonly id: number; readonly version: number };
/** Changes that come sooner after one another are kept together, ms. */
const PAUSE_MS = 700;

/** `problem` says why it is not saved any more: another window was quicker. It is tried again with the next change. */
export function useSavedSheet(
  vinylId: number,
  start: SavedSheetId | null,
  onSaved: (saved: SavedSheetId, sheet: CutSheet) => void,
): {
  readonly save: (sheet: CutSheet) => void;
  readonly saved: () => SavedSheetId | null;
  readonly problem: string | null;
  readonly forget: () => void;
  readonly settle: () => Promise<void>;
} {
  const saved = useRef(start),
    waiting = useRef<CutSheet | null>(null),
    timer = useRef<number | undefined>(undefined),
    sending = useRef<Promise<void> | null>(null),
    underWay = useRef<Sending | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const told = useRef(onSaved);
  useEffect(() => void (told.current = onSaved), [onSaved]);
  const send = useCallback(async () => {
    window.clearTimeout(timer.current);
    // Two that wait for the same answer: the second waits for what the first sends then.
    while (sending.current) await sending.current;
    const sheet = waiting.current;
    if (!sheet) return;
    waiting.current = null;
    const before = saved.current;
    const key = crypto.randomUUID();
    underWay.current = { vinylId, before, sheet, key };
    const run = async () => {
      try {
        saved.current = before
          ? await callApi<SavedSheetId>('PUT', `/api/cut-sheets/saved/${before.id}`, {
              vinylId,
              version: before.version,
              sheet,
            })
          : await createByApi<SavedSheetId>('/api/cut-sheets/saved', { vinylId, sheet }, key);
        setProblem(null);
        told.current(saved.current, sheet);
      } catch (error) {
        if (!(error instanceof ApiError)) throw error;
        // What can't be reached just now is sent again; what was refused waits for a change.
        if (error.code === 'unreachable') waiting.current ??= sheet;
        setProblem(error.message);
      }
    };
    sending.current = run().finally(() => (sending.current = underWay.current = null));
    await sending.current;
  }, [vinylId]);
  const save = useCallback(
    (sheet: CutSheet) => {
      waiting.current = sheet;
      window.clearTimeout(timer.current);
      timer.current = window.setTimeout(() => void send(), PAUSE_MS);
    },
    [send],
  );
  useSendOnLeave(send, () => {
    const sheet = waiting.current ?? underWay.current?.sheet;
    if (!sheet) return null;
    waiting.current = null;
    return { vinylId, before: saved.current, sheet, key: underWay.current?.key ?? crypto.randomUUID() };
  });
  const forget = useCallback(() => {
    window.clearTimeout(timer.current);
    waiting.current = null;
    saved.current = null;
  }, []);
  return { save, saved: () => saved.current, problem, forget, settle: send };
}

type Sending = {
  readonly vinylId: number;
  readonly before: SavedSheetId | null;
  readonly sheet: CutSheet;
  /** It is saved once under it, however often it is sent. */
  readonly key: string;
};

/**
 * A page that goes away can't wait for an answer: the request outlives it. What is under way just then is broken off
 * with the page, and sent again: whichever comes first is saved, the other is refused.
 */
function useSendOnLeave(send: () => Promise<void>, takeWaiting: () => Sending | null): void {
  const take = useRef(takeWaiting);
  take.current = takeWaiting;
  useEffect(() => {
    const leave = () => {
      const left = take.current();
      if (!left) return;
      const { vinylId, before, sheet, key } = left;
      void fetch(before ? `/api/cut-sheets/saved/${before.id}` : '/api/cut-sheets/saved', {
        method: before ? 'PUT' : 'POST',
        keepalive: true,
        headers: { 'Content-Type': 'application/json', ...(before ? {} : { 'Idempotency-Key': key }) },
        body: JSON.stringify({ vinylId, sheet, ...(before ? { version: before.version } : {}) }),
      });
    };
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      void send();
    };
  }, [send]);
}
