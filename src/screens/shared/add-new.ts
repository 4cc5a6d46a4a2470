// Lists of a page that grow by what is found or made on it.

/** The list, and what it has not yet of the others. */
export const addNew = <T extends { readonly id: number }>(list: readonly T[], others: readonly T[]): readonly T[] => [
  ...list,
  ...others.filter((one) => list.every(({ id }) => id !== one.id)),
];
