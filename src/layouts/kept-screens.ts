// A screen whose data is as it was the last time looks as it did: it is not drawn anew. React takes longer for a page of
// many fields than all that the database is asked for it.

import { createHash } from 'node:crypto';
import type { ComponentType } from 'react';
import { LRUCache } from 'lru-cache';

export type DrawnScreen = {
  /** Its data does not stand in it yet: that changes with every request. */
  readonly html: string;
  /** Of its components, as they stand in the head. */
  readonly styles: string;
};

/** Characters of HTML and styles in all: about twenty-five long pages. */
const MOST_KEPT = 4_000_000;

const kept = new LRUCache<string, DrawnScreen>({
  maxSize: MOST_KEPT,
  maxEntrySize: MOST_KEPT / 8,
  sizeCalculation: ({ html, styles }) => html.length + styles.length + 1,
});

const numbers = new WeakMap<ComponentType<object>, number>();
let screens = 0;

function nameOf(screen: ComponentType<object>, drawnFrom: string): string {
  if (!numbers.has(screen)) numbers.set(screen, (screens += 1));
  return `${numbers.get(screen)} ${createHash('sha1').update(drawnFrom).digest('base64')}`;
}

/**
 * The screen as `draw` gives it, or as it gave it before from the same.
 * @param drawnFrom all that the screen's looks rest on; null for what is different each time
 */
export function drawOrKeep(
  screen: ComponentType<object>,
  drawnFrom: string | null,
  draw: () => DrawnScreen,
): DrawnScreen {
  if (drawnFrom === null) return draw();
  const name = nameOf(screen, drawnFrom);
  const before = kept.get(name);
  if (before) return before;
  const drawn = draw();
  kept.set(name, drawn);
  return drawn;
}
