// What became of pressed pieces: looked at later, worn, washed, lifted; summed for a vinyl on a fabric.

import { figure, type Figure } from '../units';

/** The first three are good news, the rest is not. */
export const LOOK_KINDS = ['fine', 'worn', 'washed', 'lifted', 'cracked', 'marked'] as const;
export type LookKind = (typeof LOOK_KINDS)[number];
const FAILED: ReadonlySet<LookKind> = new Set(['lifted', 'cracked', 'marked']);
export const hasFailed = (kind: LookKind): boolean => FAILED.has(kind);

export type PressLook = {
  readonly kind: LookKind;
  /** So many looked alike. */
  readonly pieces: number;
  /** So often they had been washed by then; 0 where nobody knows. */
  readonly washes: number;
  /** ISO day. */
  readonly day: string;
};

export type LooksSum = {
  readonly pieces: number;
  readonly failed: number;
  /** The most washes that a piece stood; 0 where none is known. */
  readonly mostWashes: number;
  /** The fewest after which one failed; null where none did. */
  readonly failedFromWashes: number | null;
  /** Of those looked at; null where none was. */
  readonly failedShare: Figure | null;
};

export function sumLooks(looks: readonly PressLook[]): LooksSum {
  const count = (some: readonly PressLook[]) => some.reduce((sum, { pieces }) => sum + pieces, 0);
  const bad = looks.filter(({ kind }) => hasFailed(kind));
  const good = looks.filter(({ kind }) => !hasFailed(kind));
  const [pieces, failed] = [count(looks), count(bad)];
  return {
    pieces,
    failed,
    mostWashes: Math.max(0, ...good.map(({ washes }) => washes)),
    failedFromWashes: bad.length > 0 ? Math.min(...bad.map(({ washes }) => washes)) : null,
    failedShare:
      pieces === 0
        ? null
        : figure('Failed', failed / pieces, 'share', 'learned', {
            how: 'pieces that failed ÷ pieces looked at; a few say little',
            parts: [figure('Failed', failed, 'count', 'learned'), figure('Looked at', pieces, 'count', 'learned')],
          }),
  };
}
