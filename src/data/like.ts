// Words as SQL looks for them.

const LONGEST = 80;

/** Whatever holds these words; signs that mean something to LIKE are left out. */
export const toLikePattern = (words: string): string =>
  `%${words
    .trim()
    .replace(/[%_\\]/g, '')
    .slice(0, LONGEST)}%`;
