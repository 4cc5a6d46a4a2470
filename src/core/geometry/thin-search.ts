// What a search for thin places has found so far, and how wide a place may be to matter still.

import type { InscribedCircles } from './inscribed-circles';
import type { Thinness, ThinPlace } from './thin-place';

const PLACES_KEPT = 200;
/** With so many times as many found, it is looked how thin those are that will be listed. */
const PLENTY = 5;
/** Of two places nearer to each other than so many widths of the thicker one, the thinner is listed. */
const OWN_ROOM = 1.5;

type SearchOptions = {
  /** What was found before, on the same side of the same pieces. */
  readonly thinnest: ThinPlace | null;
  /** Places under it are listed, mm. */
  readonly underMm: number;
  /** As wide as nothing is, mm. */
  readonly mostMm: number;
};

export class ThinSearch {
  thinnest: ThinPlace | null;
  private readonly places: ThinPlaces;
  private readonly mostMm: number;

  constructor(
    private readonly circles: InscribedCircles,
    { thinnest, underMm, mostMm }: SearchOptions,
  ) {
    this.thinnest = thinnest;
    this.mostMm = mostMm;
    this.places = new ThinPlaces(underMm);
  }

  /** No place as wide as this is worth finding any more, mm. */
  readonly limit = (): number =>
    Math.max(Math.min(this.thinnest?.widthMm ?? Infinity, this.mostMm), this.places.limitMm);

  /** `copied`: it lies at the same place in every copy of what the group bounds. */
  readonly take = (place: ThinPlace | null, group: number, copied = true): void => {
    if (!place || place.widthMm <= 0) return;
    if (place.widthMm < (this.thinnest?.widthMm ?? Infinity)) this.thinnest = place;
    if (place.widthMm < this.places.limitMm) this.places.add(copied ? this.circles.inCopies(group, place) : [place]);
  };

  conclude(): Thinness {
    return { thinnest: this.thinnest, places: this.places.list() };
  }
}

/** Gathers the places thinner than was asked for: of very many only those that may be worth listing. */
class ThinPlaces {
  private found: ThinPlace[] = [];
  private many = PLACES_KEPT * PLENTY;

  constructor(private underMm: number) {}

  /** No place as wide as this, or wider, is listed any more, mm. */
  get limitMm(): number {
    return this.underMm;
  }

  add(places: readonly ThinPlace[]): void {
    for (const place of places) if (place.widthMm < this.underMm) this.found.push(place);
    if (this.found.length < this.many) return;
    const widest = this.list()[PLACES_KEPT - 1]?.widthMm ?? this.underMm;
    this.underMm = widest;
    this.found = this.found.filter(({ widthMm }) => widthMm <= widest);
    this.many = Math.max(this.many, this.found.length * 2);
  }

  /** The thinnest, each by itself. */
  list(): readonly ThinPlace[] {
    const kept: ThinPlace[] = [];
    for (const place of this.found.sort((a, b) => a.widthMm - b.widthMm)) {
      if (kept.length === PLACES_KEPT) break;
      if (kept.every((thinner) => isBeside(place, thinner))) kept.push(place);
    }
    return kept;
  }
}

function isBeside(place: ThinPlace, thinner: ThinPlace): boolean {
  const dx = place.x - thinner.x,
    dy = place.y - thinner.y;
  return dx * dx + dy * dy > (place.widthMm * OWN_ROOM) ** 2;
}
