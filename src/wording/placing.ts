// Where something goes on a blank, and how to find the place by hand, in words.

import {
  findOverlapping,
  type PlacedArtwork,
  type PlacingFault,
  type PlacingStep,
  type ProposedWidth,
  type Shift,
} from '../core/placing';
import { formatLength, type FormatSettings } from '../core/units';
import { describePlacementFault } from './placement';

/** Both sides differ by less than this and are told as one. */
const ALIKE_MM = 0.5;

/** The verdict: where, how far down, how far to both sides. */
export function describePlaced({ spot, drop, datum, left, right }: PlacedArtwork, settings: FormatSettings): string {
  const sides =
    left && right
      ? Math.abs(left.value - right.value) < ALIKE_MM
        ? `, ${formatLength(left.value, settings)} to both edges`
        : `, ${formatLength(left.value, settings)} to the left edge and ${formatLength(right.value, settings)} to the right`
      : '';
  return `${capitalize(spot)}: ${formatLength(drop.value, settings)} down from the ${datum}${sides}.`;
}

const capitalize = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

export function describePlacingStep(step: PlacingStep, settings: FormatSettings): string {
  switch (step.kind) {
    case 'fold-blank':
      return 'Fold the blank lengthways, side on side, and press the fold lightly: that line is its middle.';
    case 'fold-to-seam':
      return `Lay the middle fold to the side seam on the ${step.seen}, as you look at it: the new fold is the middle of the place.`;
    case 'fold-sleeve':
      return 'Lay the sleeve on its underarm seam: the fold at the top is its middle.';
    case 'fold-piece':
      return 'Bring the edges of the cut piece together, without creasing it, and mark its middle above and below.';
    case 'move-aside':
      return `From there ${formatLength(step.byMm, settings)} to the ${step.to}, as you look at it.`;
    case 'measure-down':
      return `${formatLength(step.mm, settings)} down from the ${step.datum}${step.isFourFingers ? ', about four fingers' : ''}: there its top edge lies.`;
    case 'centre-down':
      return 'Half-way between the top and the bottom: as far from one as from the other.';
    case 'go-round':
      return `Go ${formatLength(step.fromOppositeMm, settings)} round to the ${step.to} from opposite the handle: there its middle lies.`;
    case 'opposite':
      return `Opposite the ${step.of}: there its middle lies.`;
    case 'check-sides':
      return Math.abs(step.leftMm - step.rightMm) < ALIKE_MM
        ? `Check with a ruler: ${formatLength(step.leftMm, settings)} to the edge on both sides.`
        : `Check with a ruler: ${formatLength(step.leftMm, settings)} to the left edge, ${formatLength(step.rightMm, settings)} to the right.`;
    default:
      return step satisfies never;
  }
}

/** What is wrong with it where it is, with others on the blank beside it. */
export const listFaultWords = (
  placed: PlacedArtwork,
  place: string,
  others: readonly {
    readonly artwork: { readonly place: string; readonly artworkName: string };
    readonly placed: PlacedArtwork;
  }[],
  settings: FormatSettings,
): readonly string[] => [
  ...placed.faults.map((fault) => describePlacingFault(fault, placed, settings)),
  ...findOverlapping(
    { place, placed },
    others.map((other) => ({ place: other.artwork.place, placed: other.placed, name: other.artwork.artworkName })),
  ).map(({ name }) => `It lies on “${name}”: move one of the two.`),
];

function describePlacingFault(fault: PlacingFault, placed: PlacedArtwork, settings: FormatSettings): string {
  switch (fault.kind) {
    case 'off-the-blank':
      return `It goes ${formatLength(fault.byMm, settings)} over the edge of the blank: make it smaller, or move it.`;
    case 'near-the-lip':
      return `Nearer than ${formatLength(fault.leastMm, settings)} to the rim: keep decoration clear of where one drinks.`;
    default:
      return placed.area ? describePlacementFault(fault, placed.area, settings) : '';
  }
}

/** “12 mm to the right and 4 mm up”. */
export function describeShift({ rightMm, downMm }: Shift, settings: FormatSettings): string {
  const ways = [
    rightMm === 0 ? null : `${formatLength(Math.abs(rightMm), settings)} to the ${rightMm > 0 ? 'right' : 'left'}`,
    downMm === 0 ? null : `${formatLength(Math.abs(downMm), settings)} ${downMm > 0 ? 'down' : 'up'}`,
  ];
  return ways.filter((way) => way !== null).join(' and ');
}

export const WIDTH_LIMIT_WORDS: Readonly<Record<NonNullable<ProposedWidth['limit']>, string>> = {
  area: 'the print area is no wider',
  'area height': 'the print area is no higher',
  'place height': 'the place is no higher',
  platen: 'the platen is no wider',
  vinyl: 'the vinyl is no wider',
};
