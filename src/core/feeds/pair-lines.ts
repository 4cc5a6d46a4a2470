// Which lines of an order are meant by those of a file that comes again: what is alike stays, so that what was begun of
// it stays too.

type Makeup = {
  readonly itemId: number;
  readonly sizeName: string;
  readonly colourName: string;
  readonly options: readonly number[];
  readonly texts: readonly { readonly label: string; readonly text: string }[];
};
type PairedLine<Wanted> = Wanted & { readonly lineId: number | null };

const keyOf = ({ itemId, sizeName, colourName, options, texts }: Makeup): string =>
  JSON.stringify([itemId, sizeName, colourName, options, texts.map(({ label, text }) => [label, text])]);

/** Each line of the order is meant once; those of the file that are like none are new. */
export function pairLines<Wanted extends Makeup>(
  lines: readonly (Makeup & { readonly id: number })[],
  wanted: readonly Wanted[],
): readonly PairedLine<Wanted>[] {
  const left = [...lines];
  return wanted.map((wish) => {
    const at = left.findIndex((line) => keyOf(line) === keyOf(wish));
    return { ...wish, lineId: at === -1 ? null : left.splice(at, 1)[0]!.id };
  });
}
