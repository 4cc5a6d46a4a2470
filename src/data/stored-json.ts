// A column of JSON: written with the edition of its shape, and brought to the shape of today when it is read, so that
// core never meets an old one. What is no such JSON is told with its column, not passed on.

import { customType } from 'drizzle-orm/sqlite-core';
import { LRUCache } from 'lru-cache';

/** Brings what one edition wrote to the shape of the next. */
export type Upgrade = (older: Readonly<Record<string, unknown>>) => unknown;

/** Rows written before there were editions hold the bare value. */
const FIRST_EDITION = 1;

/** The file was changed by hand or damaged: a column holds no JSON, or was written by a newer Chiral. */
export class UnreadableColumnError extends Error {
  constructor(column: string, why: string) {
    super(`The column ${column} of the shop's file can't be read: ${why}. Restore an older copy of the file.`);
    this.name = 'UnreadableColumnError';
  }
}

/** What is stored in `text`, in the shape of edition `upgrades.length + 1`. @throws UnreadableColumnError */
export function readStoredJson(column: string, text: string, upgrades: readonly Upgrade[]): unknown {
  const { edition, value } = unwrap(parse(column, text));
  if (edition > upgrades.length + FIRST_EDITION)
    throw new UnreadableColumnError(column, `it was written by a newer Chiral (edition ${edition})`);
  return upgrades
    .slice(edition - FIRST_EDITION)
    .reduce((older, upgrade) => upgrade(older as Readonly<Record<string, unknown>>), value);
}

export function writeStoredJson(value: unknown, upgrades: readonly Upgrade[]): string {
  return JSON.stringify({ edition: upgrades.length + FIRST_EDITION, value });
}

/**
 * A column of `T`. `upgrades[0]` leads from the first edition to the second, and so on; add one with each change of
 * shape.
 */
export function storedJson<T>(column: string, upgrades: readonly Upgrade[] = []) {
  return customType<{ data: T; driverData: string }>({
    dataType: () => 'text',
    fromDriver: (text) => readStoredJson(column, text, upgrades) as T,
    toDriver: (value) => writeStoredJson(value, upgrades),
  })(column);
}

/** The same texts are read again and again: of a shop's figures, of drawings and orders in hand. */
const parsed = new LRUCache<string, object>({ maxSize: 1_000_000, sizeCalculation: (_, text) => text.length + 1 });
/** Characters: shorter ones are parsed as fast as they are looked up; longer ones, of pictures, would push the others out. */
const KEPT = { least: 100, most: 20_000 };

function parse(column: string, text: string): unknown {
  const known = parsed.get(text);
  if (known) return known;
  try {
    const value = JSON.parse(text) as unknown;
    if (text.length < KEPT.least || text.length > KEPT.most) return value;
    if (typeof value !== 'object' || value === null) return value;
    parsed.set(text, freezeDeep(value));
    return value;
  } catch (cause) {
    throw new UnreadableColumnError(column, cause instanceof Error ? cause.message : 'it is no JSON');
  }
}

/** Whoever reads the same text later reads the same object: nobody changes it. */
function freezeDeep(value: object): object {
  for (const part of Object.values(value) as readonly unknown[])
    if (typeof part === 'object' && part !== null) freezeDeep(part);
  return Object.freeze(value);
}

function unwrap(stored: unknown): { readonly edition: number; readonly value: unknown } {
  const wrapped = typeof stored === 'object' && stored !== null && 'edition' in stored && 'value' in stored;
  return wrapped && typeof stored.edition === 'number'
    ? { edition: stored.edition, value: stored.value }
    : { edition: FIRST_EDITION, value: stored };
}
