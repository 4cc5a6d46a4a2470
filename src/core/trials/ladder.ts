// The setting ladder: which force is tried next on a small figure, and when enough is known. Every cut is judged by its
// five results; where the clean window lies is known better after each (force-response.ts).

import { SETTING_RANGE, type CutSetting, type TestResult } from '../cutting';
import {
  chanceOfMore,
  chanceOfResult,
  chanceOfRoom,
  chanceOfWidth,
  describeWindow,
  learnCut,
  startTable,
  tellOf,
  type ForceBelief,
  type ForceCut,
  type ForceRange,
  type ForceTable,
} from './force-response';

/** Room that a setting is to have to both sides, share of its force: blades wear and lots differ. */
export const ROOM = 0.05;
/** As sure as this is enough, if nobody asks for more. */
export const ENOUGH = 0.8;
/** So many cuts at the most, unless somebody goes on. */
export const MOST_CUTS = 6;

export type LadderRemedy = 'second-pass' | 'new-blade' | 'lower-blade' | 'slower' | 'other-vinyl';
export type LadderVerdict =
  | { readonly kind: 'going-on' }
  /** The setting came out clean, and has room to both sides. */
  | { readonly kind: 'found'; readonly forceGrams: number; readonly room: number }
  /** Clean, but a little more or less would not be. */
  | { readonly kind: 'tight'; readonly forceGrams: number; readonly room: number }
  /** Clean as far as it was seen; how much room it has is not known well. */
  | { readonly kind: 'unsure'; readonly forceGrams: number | null; readonly room: number }
  /** Nothing lies between too little and too much. */
  | { readonly kind: 'none'; readonly sure: number; readonly remedies: readonly LadderRemedy[] }
  /** The machine gives no more, or no less. */
  | { readonly kind: 'range-ends'; readonly end: 'least' | 'most'; readonly remedies: readonly LadderRemedy[] };

export type Ladder = {
  readonly verdict: LadderVerdict;
  /** What is worth trying next, grams; null where every force that tells something was tried. */
  readonly nextGrams: number | null;
  /** The setting that is likeliest to have room, tried or not, and how likely. */
  readonly best: { readonly forceGrams: number; readonly room: number };
  readonly window: { readonly from: ForceRange; readonly to: ForceRange };
  /** How likely a force cuts clean, from where it is unlikely to where it is again; grams rising. */
  readonly curve: readonly { readonly grams: number; readonly clean: number }[];
};

export type LadderInput = {
  readonly start: ForceBelief;
  /** At one speed, number of passes and blade, in their order. */
  readonly cuts: readonly ForceCut[];
  readonly passes: number;
  /** How sure of room the setting has to be, from above 0 to below 1. */
  readonly enough?: number;
  /** Goes on past so many cuts. */
  readonly mostCuts?: number;
};

/** What is known after these cuts, and what follows. */
export function climb({ start, cuts, passes, enough = ENOUGH, mostCuts = MOST_CUTS }: LadderInput): Ladder {
  const table = cuts.reduce(learnCut, startTable(start));
  const forces = listForces(table);
  const best = findBest(table, forces);
  const verdict = judge({ table, cuts, best, passes, enough, isLast: cuts.length >= mostCuts });
  return {
    verdict,
    nextGrams: proposeForce(table, { forces, cuts, best }),
    best,
    window: describeWindow(table),
    curve: thin(forces, DRAWN).map((grams) => ({ grams, clean: chanceOfRoom(table, grams, 0) })),
  };
}

/** What the machine can be set to, near where the window may lie. */
function listForces(table: ForceTable): readonly number[] {
  const { least, most, step } = SETTING_RANGE.forceGrams;
  const { from: first, to: last } = describeWindow(table);
  const from = Math.max(least, Math.floor(first.low / step) * step);
  const to = Math.min(most, Math.ceil(last.high / step) * step);
  const forces: number[] = [];
  for (let grams = Math.min(from, most); grams <= Math.max(to, least); grams += step) forces.push(grams);
  return forces;
}

type Best = Ladder['best'];

function findBest(table: ForceTable, forces: readonly number[], side = ROOM): Best {
  let best: Best = { forceGrams: forces[0]!, room: -1 };
  for (const forceGrams of forces) {
    const room = chanceOfRoom(table, forceGrams, side);
    if (room > best.room) best = { forceGrams, room };
  }
  return best;
}

/** Where a cut at the likeliest setting is still to be seen it comes first, once it is likelier than not. */
const WORTH_SEEING = 0.5;
/** Less than this a cut tells nothing that is worth its vinyl, nats. */
const LEAST_TOLD = 0.02;

function proposeForce(
  table: ForceTable,
  { forces, cuts, best }: { forces: readonly number[]; cuts: readonly ForceCut[]; best: Best },
): number | null {
  const tried = new Set(cuts.map(({ forceGrams }) => forceGrams));
  if (best.room >= WORTH_SEEING && !tried.has(best.forceGrams)) return best.forceGrams;
  let next: { grams: number; told: number } | null = null;
  for (const grams of thin(
    forces.filter((force) => !tried.has(force)),
    LOOKED_AT,
  )) {
    const told = tellOf(table, grams);
    if (told > (next?.told ?? LEAST_TOLD)) next = { grams, told };
  }
  return next?.grams ?? null;
}

/** Looked at: so many of them, evenly. */
const LOOKED_AT = 16;
/** Drawn: so many. */
const DRAWN = 60;
const thin = (forces: readonly number[], most: number): readonly number[] =>
  forces.filter((_, at) => at % Math.ceil(forces.length / most) === 0);

type Judged = {
  readonly table: ForceTable;
  readonly cuts: readonly ForceCut[];
  readonly best: Best;
  readonly passes: number;
  readonly enough: number;
  readonly isLast: boolean;
};

function judge({ table, cuts, best, passes, enough, isLast }: Judged): LadderVerdict {
  const seen = findSeen(table, cuts);
  if (seen && seen.room >= enough) return { kind: 'found', ...seen };
  const ends = findEnd(table, cuts, passes, enough);
  if (ends) return ends;
  const none = 1 - chanceOfWidth(table, LEAST_WINDOW);
  if (none >= Math.max(enough, SURE_OF_NONE) && !seen)
    return { kind: 'none', sure: none, remedies: NO_WINDOW_REMEDIES };
  const isNarrow = 1 - chanceOfWidth(table, (1 + ROOM) ** 2) >= enough;
  if (seen && isNarrow) return { kind: 'tight', ...seen };
  if (!isLast) return { kind: 'going-on' };
  if (seen && seen.room < HARDLY) return { kind: 'tight', ...seen };
  return { kind: 'unsure', forceGrams: seen?.forceGrams ?? null, room: seen?.room ?? best.room };
}

/** A setting that came out clean and is less likely than this to have room is told as tight after the last cut. */
const HARDLY = 0.5;
/** A window this narrow is none for a hand that sets the machine, ratio of most to least force. */
const LEAST_WINDOW = 1.02;
/** That there is none costs the vinyl its place: it has to be surer than that there is one. */
const SURE_OF_NONE = 0.9;
const NO_WINDOW_REMEDIES: readonly LadderRemedy[] = ['new-blade', 'slower', 'other-vinyl'];

/**
 * Of the settings that came out clean the one that is likeliest to have room, or where hardly any has, to be clean at
 * all. One that came out otherwise as well is none.
 */
function findSeen(table: ForceTable, cuts: readonly ForceCut[]): Best | null {
  const clean = new Set(cuts.filter(({ result }) => result === 'clean').map(({ forceGrams }) => forceGrams));
  for (const { forceGrams, result } of cuts) if (result !== 'clean') clean.delete(forceGrams);
  if (clean.size === 0) return null;
  const roomy = findBest(table, [...clean]);
  if (roomy.room >= HARDLY) return roomy;
  const { forceGrams } = findBest(table, [...clean], 0);
  return { forceGrams, room: chanceOfRoom(table, forceGrams, ROOM) };
}

function findEnd(
  table: ForceTable,
  cuts: readonly ForceCut[],
  passes: number,
  enough: number,
): Extract<LadderVerdict, { kind: 'range-ends' }> | null {
  const { least, most } = SETTING_RANGE.forceGrams;
  const isAt = (grams: number, wanted: readonly TestResult[]) =>
    cuts.some(({ forceGrams, result }) => forceGrams === grams && wanted.includes(result));
  if (chanceOfMore(table, most) >= enough && isAt(most, ['shallow', 'hangs']))
    return {
      kind: 'range-ends',
      end: 'most',
      remedies: passes < SETTING_RANGE.passes.most ? ['second-pass', 'new-blade'] : ['new-blade', 'other-vinyl'],
    };
  if (isAt(least, ['marks', 'through'])) return { kind: 'range-ends', end: 'least', remedies: ['lower-blade'] };
  return null;
}

/** So little was a result expected from what the others say. */
const UNLIKELY = 0.05;

/** Cuts that fit the others badly: one of them was misjudged, or the machine strays. By their place in the list. */
export function findDoubts(start: ForceBelief, cuts: readonly ForceCut[]): readonly number[] {
  if (cuts.length < 2) return [];
  return cuts.flatMap((cut, at) => {
    const others = cuts.filter((_, other) => other !== at).reduce(learnCut, startTable(start));
    return chanceOfResult(others, cut) < UNLIKELY ? [at] : [];
  });
}

/** The last cuts that were made alike but for their force: those of another speed, blade or pass tell of another window. */
export function listAlike(
  cuts: readonly { readonly setting: CutSetting; readonly result: TestResult }[],
  { speedMmPerS, passes, bladeDegrees }: CutSetting,
): readonly ForceCut[] {
  return cuts
    .filter(
      ({ setting }) =>
        setting.speedMmPerS === speedMmPerS && setting.passes === passes && setting.bladeDegrees === bladeDegrees,
    )
    .map(({ setting, result }) => ({ forceGrams: setting.forceGrams, result }));
}
