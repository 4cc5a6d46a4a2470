/** What was added to the demo shop, by the name or key it has in its file. */
export type Ids = Readonly<Record<'vinyls' | 'blanks' | 'artworks' | 'items', Map<string, number>>>;
