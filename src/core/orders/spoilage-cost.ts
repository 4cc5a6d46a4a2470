// What went wrong cost: cuts that were spoiled, blanks that were lost.

import { figure, groupBy, type Figure } from '../units';
import type { LineQuote } from './order';
import { listLive, shareOfRecut, type PartEvent, type SpoilageCause } from './part';

/** Parts of one line of an order, each with all that happened to it, in order of id. */
export type SpoiledLine = {
  readonly quote: LineQuote;
  readonly parts: readonly { readonly layerIndex: number; readonly events: readonly PartEvent[] }[];
};
/** One time that a part was spoiled, and what was lost with it: minor units, not rounded. */
export type Spoilage = {
  readonly atMs: number;
  readonly cause: SpoilageCause;
  readonly vinyl: number;
  readonly blank: number;
  readonly blankLost: boolean;
};

/**
 * All that was spoiled of these parts and not taken back. Vinyl: what the part is made of by then, or the share of it that
 * is made anew; blanks: what the lost one cost. By the quote where the log says nothing.
 */
export const listSpoilage = (lines: readonly SpoiledLine[]): readonly Spoilage[] =>
  lines.flatMap(({ quote, parts }) => parts.flatMap((part) => followPart(quote, part)));

function followPart(quote: LineQuote, { layerIndex, events }: SpoiledLine['parts'][number]): readonly Spoilage[] {
  const quoted = quote.layers[layerIndex]?.vinylCost ?? 0;
  // Of what there is of it, its vinyl; null where it was never cut, or has to be cut again as a whole.
  let held: number | null = null;
  let missing = 1;
  let blankCost: number | null = null;
  const spoilage: Spoilage[] = [];
  for (const event of listLive(events)) {
    if (event.kind === 'cut') {
      held = (held ?? 0) + (event.vinylCost ?? quoted * missing);
      missing = 1;
    }
    blankCost = event.blankCost ?? blankCost;
    if (event.kind !== 'spoiled') continue;
    missing = shareOfRecut(event.recut ?? null);
    const whole: number = held ?? quoted;
    const { atMs, blankLost } = event;
    const blank = blankLost ? (blankCost ?? quote.blankPrice) : 0;
    spoilage.push({ atMs, cause: event.cause ?? 'other', vinyl: whole * missing, blank, blankLost });
    held = missing < 1 ? whole * (1 - missing) : null;
  }
  return spoilage;
}

/** Minor units, rounded once for vinyl and once for blanks. The hours are in what the work took, not counted again. */
export function sumSpoilage(lines: readonly SpoiledLine[]): Figure {
  const spoilage = listSpoilage(lines);
  const count = spoilage.length;
  const parts = tellParts(spoilage);
  return figure('What went wrong', sumValues(parts), 'money', 'measured', {
    how: `vinyl and blanks of ${count} spoiled ${count === 1 ? 'part' : 'parts'}; the hours are in the work`,
    parts,
  });
}

/** What went wrong for one reason. `times`: spoiled parts; `blanks`: blanks lost with them. */
export type CauseLoss = {
  readonly cause: SpoilageCause;
  readonly times: number;
  readonly blanks: number;
  readonly lost: Figure;
};

export type SpoilageByCause = {
  /** The dearest first. */
  readonly causes: readonly CauseLoss[];
  readonly whole: Omit<CauseLoss, 'cause'>;
};

/** What is lost as a whole is the sum of the causes' figures, to the minor unit; `names` say them in words. */
export function sumByCause(
  spoilage: readonly Spoilage[],
  names: Readonly<Record<SpoilageCause, string>>,
): SpoilageByCause {
  const causes = [...groupBy(spoilage, ({ cause }) => cause)]
    .map(([cause, own]) => tellCause(cause, names[cause], own))
    .sort((a, b) => b.lost.value - a.lost.value || b.times - a.times);
  const parts = causes.map(({ lost }) => lost);
  const lost = figure('Lost to spoilage', sumValues(parts), 'money', 'measured', { parts });
  return { causes, whole: { times: spoilage.length, blanks: countBlanks(spoilage), lost } };
}

function tellCause(cause: SpoilageCause, name: string, own: readonly Spoilage[]): CauseLoss {
  const parts = tellParts(own);
  const lost = figure(name, sumValues(parts), 'money', 'measured', {
    how: 'by the log of the bench; by the quote where it says nothing',
    parts,
  });
  return { cause, times: own.length, blanks: countBlanks(own), lost };
}

const countBlanks = (spoilage: readonly Spoilage[]): number => spoilage.filter(({ blankLost }) => blankLost).length;

const tellParts = (spoilage: readonly Spoilage[]): readonly Figure[] => [
  figure('Vinyl of spoiled cuts', Math.round(sum(spoilage, ({ vinyl }) => vinyl)), 'money', 'measured'),
  figure('Blanks that were lost', Math.round(sum(spoilage, ({ blank }) => blank)), 'money', 'measured'),
];

const sum = (spoilage: readonly Spoilage[], pick: (one: Spoilage) => number): number =>
  spoilage.reduce((all, one) => all + pick(one), 0);
const sumValues = (figures: readonly Figure[]): number => figures.reduce((all, { value }) => all + value, 0);
