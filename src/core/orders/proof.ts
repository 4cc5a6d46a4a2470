// What a customer is shown and approves, and what has changed since.

import { groupBy } from '../units';
import type { LineText } from './read-back';

/** One line of an order as it will be made: drawings by their version, so that a changed one is told. */
export type ProofLine = {
  readonly lineId: number;
  readonly itemName: string;
  readonly quantity: number;
  readonly sizeName: string;
  readonly colourName: string;
  /** #rrggbb of the blank. */
  readonly ground: string;
  readonly texts: readonly Pick<LineText, 'label' | 'text'>[];
  readonly drawings: readonly {
    readonly artworkId: number;
    readonly version: number;
    readonly place: string;
    readonly widthMm: number;
    /** #rrggbb of the vinyls, by layer. */
    readonly colours: readonly string[];
    /** The text that stands there; null for a drawing. */
    readonly label: string | null;
    /** From the text above it at the same place, mm; left out where there is none. */
    readonly gapMm?: number;
  }[];
};
export type ProofContent = { readonly lines: readonly ProofLine[] };

export type ProofChange =
  | { readonly kind: 'added' | 'removed'; readonly line: ProofLine }
  | {
      readonly kind: 'quantity' | 'size' | 'colour' | 'text' | 'drawing';
      readonly line: ProofLine;
      readonly was: string;
      readonly now: string;
    };

const sayTexts = ({ texts }: ProofLine): string => texts.map(({ label, text }) => `${label} “${text}”`).join(', ');
/** A text that was set anew is told as a text; of its place only where it stands is told here. */
const sayDrawings = ({ drawings }: ProofLine): string =>
  JSON.stringify(drawings.map((one) => (one.label === null ? one : [one.place, one.colours, one.gapMm])));

/** What differs from what was approved, by line; empty where it is still as it was shown. */
export function compareProof(approved: ProofContent, now: ProofContent): readonly ProofChange[] {
  const before = new Map(approved.lines.map((line) => [line.lineId, line]));
  const after = new Set(now.lines.map((line) => line.lineId));
  return [
    ...now.lines.flatMap((line): readonly ProofChange[] => {
      const old = before.get(line.lineId);
      return old ? compareLine(old, line) : [{ kind: 'added', line }];
    }),
    ...approved.lines.filter(({ lineId }) => !after.has(lineId)).map((line) => ({ kind: 'removed', line }) as const),
  ];
}

function compareLine(old: ProofLine, line: ProofLine): readonly ProofChange[] {
  const pairs = [
    ['quantity', String(old.quantity), String(line.quantity)],
    ['size', old.sizeName, line.sizeName],
    ['colour', old.colourName, line.colourName],
    ['text', sayTexts(old), sayTexts(line)],
    ['drawing', sayDrawings(old), sayDrawings(line)],
  ] as const;
  return pairs.flatMap(([kind, was, now]) => (was === now ? [] : [{ kind, line, was, now }]));
}

/** Without the texts that are each piece's own. */
export const listSharedDrawings = ({ drawings }: ProofLine): ProofLine['drawings'] =>
  drawings.filter(({ label }) => label === null);

/** The texts of a piece, those that stand at one place together, from the top. */
export const groupTextsByPlace = ({ drawings }: ProofLine): readonly ProofLine['drawings'][] => [
  ...groupBy(
    drawings.filter(({ label }) => label !== null),
    ({ place }) => place,
  ).values(),
];

/** Pieces that bear the same drawings at the same places in the same colours; widths may follow the size. */
export const groupDesigns = ({ lines }: ProofContent): readonly (readonly ProofLine[])[] => [
  ...groupBy(lines, (line) =>
    JSON.stringify([
      line.itemName,
      line.colourName,
      listSharedDrawings(line).map(({ artworkId, place, colours }) => [artworkId, place, colours]),
    ]),
  ).values(),
];
