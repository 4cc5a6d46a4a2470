// A place where something is thin, and which of many are worth showing.

/** A ring and what it bounds on one side. Rings of one group bound one thing; of group -1 the open air. */
export type Bound = {
  readonly group: number;
  /** No ball wider than this lies in the group, mm. */
  readonly widest: number;
};
export type ThinPlace = { readonly widthMm: number; readonly x: number; readonly y: number };
export type Thinness = {
  /**
   * The thinnest place; null where no two sides face each other (a single bar has a thickness, the air around it no
   * gap).
   */
  readonly thinnest: ThinPlace | null;
  /** Places thinner than was asked for, thinnest first, at most `PLACES_KEPT`, none within its own width of another. */
  readonly places: readonly ThinPlace[];
};
const PLACES_KEPT = 200;

/** The thinnest, each by itself. */
export function thinOut(places: readonly ThinPlace[]): readonly ThinPlace[] {
  const kept: ThinPlace[] = [];
  for (const place of [...places].sort((a, b) => a.widthMm - b.widthMm)) {
    if (kept.length === PLACES_KEPT) break;
    if (
      kept.every(
        (other) => Math.hypot(other.x - place.x, other.y - place.y) > Math.max(place.widthMm, other.widthMm) * 1.5,
      )
    )
      kept.push(place);
  }
  return kept;
}
