// What the columns of a price list may hold. Apart from the reading of lists, so that forms need not load that.

export const LIST_COLUMNS = ['code', 'name', 'thing', 'count', 'width', 'length', 'price', 'from'] as const;
export type ListColumn = (typeof LIST_COLUMNS)[number];
export const NEEDED_COLUMNS: readonly ListColumn[] = ['code', 'name', 'price'];
/** Which column of the file each is in; null where it is in none. */
export type ColumnMatch = Readonly<Record<ListColumn, number | null>>;
