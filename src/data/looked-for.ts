// Words as they are looked up: in tables that know every three letters of what is said (`order_words`,
// `customer_words`), so that a search goes through nothing that it does not find.

/** Shorter words stand in no such table: they are looked for from end to end. */
const SHORTEST = 3;

export const isLookedUp = (word: string): boolean => [...word.normalize('NFC')].length >= SHORTEST;

/** What a table of three letters is asked for: whatever holds the word, capitals and accents aside. */
export const toMatch = (word: string): string => `"${word.normalize('NFC').replaceAll('"', '""')}"`;
