// The pieces of a load as they are cut: which parts are copies of one another, and the outline that each lies down
// with.

import type { Point } from '../geometry';
import {
  attachTag,
  type CutOutline,
  type CutShape,
  type Inside,
  type Marks,
  type NestPiece,
  type Placement,
} from '../nesting';
import type { CutSheetPiece, CutSource } from './cut-sheet';

/** Pieces as they are saved, and as they are laid out: with their tags, where they have some. */
export type CutJob = {
  readonly cut: readonly CutSheetPiece[];
  readonly pieces: readonly NestPiece[];
  /** The corner of each piece's tag. */
  readonly tagAt: ReadonlyMap<string, Point>;
};

const TAG_CAP_MM = 3.5;
const TAG_HEIGHT_MM = 4.5;
const TAG_LETTER_MM = 2.5;
const TAG_ROOM_MM = 1;
export const TAG_LETTERS = { capHeightMm: TAG_CAP_MM, fontKey: 'archivo-narrow' };

/** Order and piece, as they stand on the order's page; a piece that nobody ordered is a spare. */
export const tagOf = (part: { readonly orderId: number; readonly pieceNumber: number } | undefined): string =>
  part ? `${part.orderId}/${part.pieceNumber}` : 'spare';

/** Letters of the longest tag on these pieces. */
export const countTagLetters = (
  cut: readonly CutSheetPiece[],
  partOf: (partId: number) => Parameters<typeof tagOf>[0],
): number =>
  Math.max(0, ...cut.flatMap((piece) => piece.partIds.map((id) => tagOf(id === null ? undefined : partOf(id)).length)));

/** Parts that are cut alike are copies of one piece. */
export const keyOfSource = ({ artworkId, layerIndex, widthMm, mirrored, bits }: CutSource): string =>
  `${artworkId}/${layerIndex}/${widthMm}/${mirrored ? 'm' : 'n'}${bits ? `/${bits.join('+')}` : ''}`;

export const placementKey = ({ pieceId, copy }: Pick<Placement, 'pieceId' | 'copy'>): string => `${copy} ${pieceId}`;

/** The outline of a piece, all of it or the one of its islands; null where its drawing could not be read. */
export function outlineOf(
  { source, island }: Pick<CutSheetPiece, 'source' | 'island'>,
  shapes: ReadonlyMap<string, CutShape>,
): CutOutline | null {
  const shape = shapes.get(keyOfSource(source));
  return (island === null ? shape : shape?.islands[island]) ?? null;
}

/** Pieces whose drawing can't be read are left out. `tagLetters`: of the longest tag. */
export function makeJob(
  cut: readonly CutSheetPiece[],
  shapes: ReadonlyMap<string, CutShape>,
  options: {
    readonly turnable: boolean;
    readonly marks: Pick<Marks, 'tags'>;
    readonly inside: Inside;
    readonly tagLetters: number;
  },
): CutJob {
  const { turnable, marks, inside, tagLetters } = options;
  const known = cut.filter((piece) => outlineOf(piece, shapes));
  const tagAt = new Map<string, Point>();
  const pieces = known.map((piece): NestPiece => {
    const { outline, holes } = outlineOf(piece, shapes)!;
    const open = inside === 'holes' ? holes : [];
    const tagged = marks.tags
      ? attachTag(outline, { widthMm: tagLetters * TAG_LETTER_MM + TAG_ROOM_MM, heightMm: TAG_HEIGHT_MM })
      : null;
    if (tagged) tagAt.set(piece.id, tagged.at);
    return {
      id: piece.id,
      rings: [...(tagged?.rings ?? [outline]), ...open],
      copies: piece.partIds.length,
      turns: turnable ? 'free' : [0, 180],
    };
  });
  return { cut: known, pieces, tagAt };
}

/** The part that a copy is; null for a spare. */
export const partIdOf = (job: CutJob, { pieceId, copy }: Pick<Placement, 'pieceId' | 'copy'>): number | null =>
  job.cut.find((piece) => piece.id === pieceId)?.partIds[copy] ?? null;
