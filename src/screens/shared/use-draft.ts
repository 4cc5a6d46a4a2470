// What is being typed and not saved yet: it survives a reload, Back, a link, and is back when the page is.

import { useCallback, useEffect, useRef, useState } from 'react';

export type Draft = {
  /** What was typed before is back. */
  readonly isBack: boolean;
  /** Begins anew. */
  readonly discard: () => void;
  /** Forgets it: it was saved. */
  readonly clear: () => void;
};

type DraftInput<T> = {
  /** Of the page and what it is about; another version of that has another. */
  readonly key: string;
  readonly value: T;
  /** There is something that would be lost. */
  readonly isChanged: boolean;
  readonly restore: (value: T) => void;
  /** As if nothing had been typed. */
  readonly restart: () => void;
};

/** Written after the last key by so long, and in any case when the page is left. */
const PAUSE_MS = 250;
/** A browser keeps about 5 MB for all pages of a window: one drawing must not take them all. */
const MOST_LETTERS = 2_000_000;
const PREFIX = 'draft:';

/** Of any page of this window. */
export const hasDraft = (): boolean => Object.keys(sessionStorage).some((name) => name.startsWith(PREFIX));

export function useDraft<T>({ key, value, isChanged, restore, restart }: DraftInput<T>): Draft {
  const [isBack, setBack] = useState(false);
  const latest = useRef({ value, isChanged, restore, restart });
  latest.current = { value, isChanged, restore, restart };
  /** Nothing is written before what was there has been looked at, nor after it was saved. */
  const writes = useRef(false);
  const name = PREFIX + key;

  useEffect(() => {
    const stored = read<T>(name);
    writes.current = stored === null;
    if (stored === null) return;
    latest.current.restore(stored);
    setBack(true);
  }, [name]);
  // Not before the page holds what was restored: one that is left at once would keep what it held until then.
  useEffect(() => {
    if (isBack) writes.current = true;
  }, [isBack, name]);

  const write = useCallback(() => {
    if (!writes.current) return;
    const { value: now, isChanged: changed } = latest.current;
    if (changed) keep(name, now);
    else sessionStorage.removeItem(name);
  }, [name]);

  const text = JSON.stringify(value);
  useEffect(() => {
    const timer = setTimeout(write, PAUSE_MS);
    return () => clearTimeout(timer);
  }, [text, isChanged, write]);
  useEffect(() => {
    window.addEventListener('pagehide', write);
    return () => window.removeEventListener('pagehide', write);
  }, [write]);

  const clear = useCallback(() => {
    writes.current = false;
    sessionStorage.removeItem(name);
  }, [name]);
  const discard = useCallback(() => {
    sessionStorage.removeItem(name);
    latest.current.restart();
    setBack(false);
  }, [name]);
  return { isBack, discard, clear };
}

function read<T>(name: string): T | null {
  try {
    const text = sessionStorage.getItem(name);
    return text === null ? null : (JSON.parse(text) as T);
  } catch {
    // Not readable, or the browser keeps nothing: the page begins anew.
    return null;
  }
}

function keep(name: string, value: unknown): void {
  const text = JSON.stringify(value);
  try {
    if (text.length <= MOST_LETTERS) sessionStorage.setItem(name, text);
  } catch (error) {
    // Full: what is typed stays on the page, and is lost only with it.
    if (!(error instanceof DOMException)) throw error;
  }
}
