// Long work on the server, as a window sees what it asked for.

/**
 * What takes long: measuring a drawing, laying pieces out, laying a layer out after saving, booking a cut load, making it ready
 * for the cutter, baskets,
 * papers, what items cost, names that are set.
 */
export type HeavyKind = 'measure' | 'nest' | 'pack' | 'book' | 'cut' | 'basket' | 'paper' | 'cost' | 'letter' | 'learn';

export type HeavyView = {
  readonly kind: HeavyKind;
  /** How many others come first; none when it is being worked on. */
  readonly before: number;
};
