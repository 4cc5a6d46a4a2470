// What can lie on the shelf and be bought: a vinyl, a blank in one size and colour, or a supply that is used up.

export type Thing =
  | { readonly kind: 'vinyl'; readonly vinylId: number }
  | { readonly kind: 'blank'; readonly blankId: number; readonly sizeName: string; readonly colourName: string }
  | { readonly kind: 'supply'; readonly supplyId: number };

/** One word for a thing, the same for the same thing: what stock, offers and needs are matched by. */
export function keyOf(thing: Thing): string {
  switch (thing.kind) {
    case 'vinyl':
      return `vinyl:${thing.vinylId}`;
    case 'blank':
      return `blank:${thing.blankId}:${encodeURIComponent(thing.sizeName)}:${encodeURIComponent(thing.colourName)}`;
    case 'supply':
      return `supply:${thing.supplyId}`;
    default:
      return thing satisfies never;
  }
}

/** The thing of a key; null for what is none. */
export function parseKey(key: string): Thing | null {
  const [kind, id, sizeName, colourName] = key.split(':');
  if (!/^[1-9]\d{0,14}$/.test(id ?? '')) return null;
  if (kind === 'vinyl' && sizeName === undefined) return { kind, vinylId: Number(id) };
  if (kind === 'supply' && sizeName === undefined) return { kind, supplyId: Number(id) };
  if (kind !== 'blank' || sizeName === undefined || colourName === undefined) return null;
  const [size, colour] = [decode(sizeName), decode(colourName)];
  return size === null || colour === null ? null : { kind, blankId: Number(id), sizeName: size, colourName: colour };
}

/** Null for what was never written by `keyOf`, such as a lone percent sign. */
function decode(name: string): string | null {
  try {
    return decodeURIComponent(name);
  } catch (error) {
    if (error instanceof URIError) return null;
    throw error;
  }
}
