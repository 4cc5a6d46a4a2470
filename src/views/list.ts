// Long lists, a page at a time: what was asked for stands in the address. Types only.

export type ListQuery<Sort extends string> = {
  /** Looked for; empty: all. */
  readonly words: string;
  readonly sort: Sort;
  /** The largest, latest or last first. */
  readonly down: boolean;
  /** From 1. */
  readonly page: number;
};

/** Where a page of a list is. */
export type ListPage = {
  /** That match what was asked for. */
  readonly total: number;
  /** From 1; never more than `pages`. */
  readonly page: number;
  /** At least 1. */
  readonly pages: number;
};
