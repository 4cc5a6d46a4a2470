// How wide an artwork is on each size of a blank: a fixed width looks small on a 3XL and huge on a child. Scaled by the
// blank, kept within what the place, the platen and the vinyl hold, and gathered so that few cut sizes are needed.

import { findNamedArea, SHAPE_FACTS } from '../materials';
import { figure, type Figure } from '../units';
import type { PlacingBlank } from './place-artwork';
import { measureSize, shapeOf } from './size-measures';
import type { Spot } from './spot-names';
import { SPOT_FACTS } from './spots';

export type WidthWish = {
  readonly blank: PlacingBlank;
  readonly spot: Spot;
  readonly place: string;
  /** Height of the artwork as a share of its width. */
  readonly aspect: number;
  /** Of one size, where the seller chose it; null: as the trade has it. */
  readonly chosen: { readonly sizeName: string; readonly widthMm: number } | null;
  /** Null where it is not pressed flat. */
  readonly platenWidthMm: number | null;
  /** Usable width of the narrowest vinyl it is cut from; null where none is chosen. */
  readonly vinylWidthMm: number | null;
};
type WidthLimit = 'area' | 'area height' | 'place height' | 'platen' | 'vinyl';

export type ProposedWidth = {
  readonly sizeName: string;
  /** Scaled by the blank, and held back where something is narrower. */
  readonly ideal: Figure;
  /** What held it back; null where nothing did. */
  readonly limit: WidthLimit | null;
  /** What it is cut at, together with the sizes that share it; mm. */
  readonly widthMm: number;
};

/** A difference that nobody sees on the other size. */
const WIDTH_TOLERANCE = 0.06;

export function proposeWidths(wish: WidthWish): readonly ProposedWidth[] {
  const ideals = wish.blank.sizes.map(({ name }) => ({ sizeName: name, ...findIdeal(wish, name) }));
  const widths = shareWidths(
    ideals.map(({ sizeName, ideal, mostMm }) => ({
      idealMm: ideal.value,
      mostMm,
      isChosen: sizeName === wish.chosen?.sizeName,
    })),
    WIDTH_TOLERANCE,
  );
  return ideals.map(({ sizeName, ideal, limit }, index) => ({ sizeName, ideal, limit, widthMm: widths[index]! }));
}

function findIdeal(
  wish: WidthWish,
  sizeName: string,
): { readonly ideal: Figure; readonly limit: WidthLimit | null; readonly mostMm: number } {
  const { blank, chosen } = wish;
  const own = measureSize(blank, sizeName).width;
  const from = chosen ? measureSize(blank, chosen.sizeName).width.value : SHAPE_FACTS[shapeOf(blank)].widthMm;
  const baseMm = chosen?.widthMm ?? usualWidthMm(wish.spot);
  const scaledMm = (baseMm * own.value) / from;
  const limits = listLimits(wish, sizeName);
  const [kind, mostMm] = limits.sort((a, b) => a[1] - b[1])[0] ?? [null, Infinity];
  const isHeld = scaledMm > mostMm;
  const parts = [
    chosen
      ? figure(`Chosen for ${chosen.sizeName}`, baseMm, 'mm', 'typed')
      : figure('Usual on the middle size', baseMm, 'mm', 'default'),
    figure(`Width of ${sizeName}`, own.value, 'mm', own.source),
    figure(chosen ? `Width of ${chosen.sizeName}` : 'Width of the middle size', from, 'mm', 'computed'),
    ...(isHeld ? [figure('At most', mostMm, 'mm', 'computed')] : []),
  ];
  return {
    limit: isHeld ? kind : null,
    mostMm,
    ideal: figure(`Width on ${sizeName}`, Math.min(scaledMm, mostMm), 'mm', 'computed', {
      how: `width × this blank ÷ that blank${isHeld ? ', held back' : ''}`,
      parts,
    }),
  };
}

const usualWidthMm = (spot: Spot): number => (SPOT_FACTS[spot].leastMm + SPOT_FACTS[spot].mostMm) / 2;

function listLimits(wish: WidthWish, sizeName: string): (readonly [WidthLimit, number])[] {
  const { blank, spot, place, aspect, platenWidthMm, vinylWidthMm } = wish;
  const area = findNamedArea(blank.areas, sizeName, place);
  const { mostHeightMm } = SPOT_FACTS[spot];
  return [
    ...(area
      ? ([
          ['area', area.widthMm],
          ['area height', area.heightMm / aspect],
        ] as const)
      : []),
    ...(mostHeightMm === undefined ? [] : [['place height', mostHeightMm / aspect] as const]),
    ...(platenWidthMm === null ? [] : [['platen', platenWidthMm] as const]),
    ...(vinylWidthMm === null ? [] : [['vinyl', vinylWidthMm] as const]),
  ];
}

export type WantedWidth = {
  readonly idealMm: number;
  readonly mostMm: number;
  /** The seller's own: kept as it is, where those that share it can have it. */
  readonly isChosen?: boolean;
};
const ROUND_MM = 5;

/**
 * The fewest widths such that each wish has one within `tolerance` of its ideal and not over its most. Intervals pierced
 * by the fewest points: always at the least upper end that is not pierced yet. Each width then moves to the middle of
 * the wishes it serves, and to whole 5 mm where they allow it. mm, in the order of the wishes.
 */
export function shareWidths(wishes: readonly WantedWidth[], tolerance: number): readonly number[] {
  const spans = wishes.map(({ idealMm, mostMm, isChosen = false }, index) => ({
    index,
    idealMm,
    isChosen,
    low: idealMm * (1 - tolerance),
    high: Math.min(idealMm * (1 + tolerance), mostMm),
  }));
  const widths: number[] = [];
  let left = [...spans].sort((a, b) => a.high - b.high);
  while (left.length > 0) {
    const point = left[0]!.high;
    const served = left.filter(({ low }) => low <= point);
    left = left.filter(({ low }) => low > point);
    const width = chooseWithin(served);
    for (const { index } of served) widths[index] = width;
  }
  return widths;
}

type Span = {
  readonly idealMm: number;
  readonly isChosen: boolean;
  readonly low: number;
  readonly high: number;
};

function chooseWithin(served: readonly Span[]): number {
  const low = Math.max(...served.map((span) => span.low));
  const high = Math.min(...served.map((span) => span.high));
  const chosen = served.find((span) => span.isChosen)?.idealMm;
  if (chosen !== undefined && chosen >= low && chosen <= high) return chosen;
  const mean = served.reduce((sum, { idealMm }) => sum + idealMm, 0) / served.length;
  const middle = Math.min(high, Math.max(low, mean));
  const round = [ROUND_MM, 1]
    .flatMap((step) => [Math.round(middle / step), Math.floor(high / step)].map((count) => count * step))
    .find((width) => width >= low && width <= high && width > 0);
  return round ?? middle;
}
