// How to find the place by hand, without a ruler where folding will do: steps as data, put into words elsewhere.

import type { Datum } from '../materials';
import type { PlacedArtwork } from './place-artwork';

/** Lengths in mm. */
export type PlacingStep =
  /** Side seam on side seam: the fold is the middle of the blank. */
  | { readonly kind: 'fold-blank' }
  /** The middle fold laid to the side seam: the new fold is the middle of the breast, or the leg. */
  | { readonly kind: 'fold-to-seam'; readonly seen: 'left' | 'right' }
  /** The sleeve laid on its underarm seam: the fold above is the shoulder line. */
  | { readonly kind: 'fold-sleeve' }
  /** The cut piece's own edges brought together: its middle marked at top and bottom. */
  | { readonly kind: 'fold-piece' }
  | { readonly kind: 'move-aside'; readonly byMm: number; readonly to: 'left' | 'right' }
  | { readonly kind: 'measure-down'; readonly datum: Datum; readonly mm: number; readonly isFourFingers: boolean }
  | { readonly kind: 'centre-down' }
  /** From the handle, or opposite of it, along the wall to the middle of the piece. */
  | { readonly kind: 'go-round'; readonly fromOppositeMm: number; readonly to: 'left' | 'right' }
  | { readonly kind: 'opposite'; readonly of: 'handle' | 'seam' }
  | { readonly kind: 'check-sides'; readonly leftMm: number; readonly rightMm: number };

/** What an adult's four fingers are wide, and how far off still passes for it. */
const FOUR_FINGERS_MM = 75;
const FINGERS_OFF_MM = 8;
const SAME_MM = 0.5;

export function listPlacingSteps(placed: PlacedArtwork): readonly PlacingStep[] {
  const { spot, drop, datum, aside, left, right, outline } = placed;
  if (outline.side === 'wall') return [findOnWall(placed), measureDown(placed)];
  const isAside = spot.startsWith('left ') || spot.startsWith('right ');
  const seen = aside.value > 0 ? 'right' : 'left';
  const moved = aside.source === 'typed' ? (aside.parts?.at(-1)?.value ?? 0) : 0;
  return [
    outline.side.endsWith('sleeve') ? { kind: 'fold-sleeve' } : { kind: 'fold-blank' },
    ...(isAside && !outline.side.endsWith('sleeve') ? [{ kind: 'fold-to-seam', seen } as const] : []),
    { kind: 'fold-piece' },
    ...(Math.abs(moved) > SAME_MM
      ? [{ kind: 'move-aside', byMm: Math.abs(moved), to: moved > 0 ? 'right' : 'left' } as const]
      : []),
    drop.source === 'computed'
      ? { kind: 'centre-down' }
      : {
          kind: 'measure-down',
          datum,
          mm: drop.value,
          isFourFingers: Math.abs(drop.value - FOUR_FINGERS_MM) <= FINGERS_OFF_MM,
        },
    ...(left && right ? [{ kind: 'check-sides', leftMm: left.value, rightMm: right.value } as const] : []),
  ];
}

const measureDown = ({ datum, drop }: PlacedArtwork): PlacingStep => ({
  kind: 'measure-down',
  datum,
  mm: drop.value,
  isFourFingers: false,
});

const findOnWall = ({ aside, spot }: PlacedArtwork): PlacingStep =>
  Math.abs(aside.value) < SAME_MM
    ? { kind: 'opposite', of: spot === 'opposite the seam' ? 'seam' : 'handle' }
    : { kind: 'go-round', fromOppositeMm: Math.abs(aside.value), to: aside.value > 0 ? 'right' : 'left' };
