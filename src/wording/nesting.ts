// Laying out in words: what a layout comes to, what stands in its way, and what would help.

import { findLeastReading } from '../core/cutting';
import type { LayoutFault, NestLayout, NestProblem, Leftover } from '../core/nesting';
import type { BookingProblem, LoadFacts, LotChoice } from '../core/orders';
import type { DayLoad, LoadPart } from '../core/scheduling';
import { plural, verbFor } from './plural';
import { formatArea, formatDuration, formatLength, formatShare, type FormatSettings } from '../core/units';

export function describeNestProblem(problem: NestProblem, settings: FormatSettings): string {
  switch (problem.kind) {
    case 'no-area':
      return `${problem.pieceId} has no area: its outline runs back on itself. Mend it in its drawing.`;
    case 'too-large':
      return describeTooLarge(problem, settings);
    case 'no-stock':
      return 'Between its margins the stock has no room at all. Choose a larger piece of it, or smaller margins.';
    default:
      return problem satisfies never;
  }
}

function describeTooLarge(problem: Extract<NestProblem, { kind: 'too-large' }>, settings: FormatSettings): string {
  const size = (across: number, along: number) =>
    `${formatLength(across, settings)} × ${formatLength(along, settings)}`;
  const needs = size(problem.acrossMm, problem.alongMm);
  const given = size(problem.usableAcrossMm, problem.usableAlongMm);
  const said = `${problem.pieceId} needs ${needs}, and the stock gives ${given} at most.`;
  if (problem.shrinkTo <= LEAST_SHRINK) return `${said} Take wider stock.`;
  const share = formatShare(Math.floor(problem.shrinkTo * 1000) / 1000, settings);
  return `${said} Make it ${share} of its size or smaller, let it be turned, split it, or take wider stock.`;
}

/** Smaller than this nobody would want it. */
const LEAST_SHRINK = 0.05;

/** A roll, sheets or an offcut, with what there is of it. */
export function nameLot(lot: LotChoice, settings: FormatSettings): string {
  const length = (mm: number) => formatLength(mm, settings);
  if (lot.form === 'roll') return `Roll ${lot.lotId}, ${length(lot.widthMm)} wide, ${length(lot.left)} left`;
  const name = lot.form === 'offcut' ? `Offcut ${lot.code ?? lot.lotId}` : `${Math.round(lot.left)} × sheet`;
  return `${name}, ${length(lot.widthMm)} × ${length(lot.lengthMm ?? 0)}`;
}

/** The first sentence over a layout. */
export function describeLayout(layout: NestLayout, stockName: string, settings: FormatSettings): string {
  const count = layout.placements.length,
    parts = plural(count, 'part');
  const [only] = layout.sheets;
  const on =
    layout.sheets.length === 1 && only
      ? `on ${formatLength(only.usedLengthMm, settings)} of ${stockName}`
      : `on ${layout.sheets.length} sheets of ${stockName}`;
  return `${parts} ${on}, ${formatShare(layout.density, settings, 0)} of it used${layout.left.length > 0 ? `; ${layout.left.length} found no room` : ''}`;
}

export function describeFault(fault: LayoutFault, settings: FormatSettings): string {
  switch (fault.kind) {
    case 'overlap':
      return `Two parts are ${formatLength(fault.byMm, settings)} nearer than the gap.`;
    case 'outside':
      return `A part reaches ${formatLength(fault.byMm, settings)} beyond what the machine reaches.`;
    case 'spoiled-spot':
      return 'A part lies on a spoiled spot.';
    case 'turned':
      return 'A part is turned against the direction of its vinyl.';
    case 'missing':
      return `${fault.pieceId} is not laid out.`;
    default:
      return fault satisfies never;
  }
}

/** Why a saved cut sheet can't be booked as it is. */
export function describeBookingProblem(problem: BookingProblem, settings: FormatSettings): string {
  switch (problem.kind) {
    case 'not-on-the-book':
      return 'It lies on a piece of vinyl that is not in your stock. Add that to the stock first, or choose another lot.';
    case 'unreadable':
      return `The drawing of ${problem.names.join(', ')} can’t be read any more. Open it under Artwork, then lay out again.`;
    case 'stock-changed':
      return 'The stock it lies on has changed since it was laid out. Reload, and lay out again.';
    case 'faulty':
      return `This can’t be cut so. ${[...new Set(problem.faults.map((fault) => describeFault(fault, settings)))].slice(0, 3).join(' ')}`;
    case 'only-spares':
      return 'Nothing on it was ordered. Add at least one part of an order, or book the vinyl off by hand under Stock.';
    default:
      return problem satisfies never;
  }
}

/** The loading card, line by line. */
export function describeLoading(
  facts: LoadFacts,
  settings: FormatSettings,
): readonly { readonly label: string; readonly text: string }[] {
  const length = (mm: number) => formatLength(mm, settings);
  return [
    {
      label: 'Side',
      text:
        facts.mirrored === 'all'
          ? 'Carrier down, cut mirrored.'
          : facts.mirrored === 'none'
            ? 'Face up, not mirrored.'
            : 'Some pieces are mirrored and some are not: cut them in two loads.',
    },
    {
      label: 'Held',
      text: facts.onMat
        ? 'On a mat that still holds; its lower left corner is the origin.'
        : `Without a mat, under both rollers; ${length(facts.leadMm)} lie before the first cut and behind the last.`,
    },
    {
      label: 'Width',
      text: facts.onMat
        ? `The piece is ${length(facts.widthMm)} wide; the outermost cut needs ${length(facts.leastWidthMm)}.`
        : `The machine should read ${length(facts.widthMm)}. If it reads less than ${length(findLeastReading({ expectedMm: facts.widthMm, neededMm: facts.leastWidthMm }))}, load it again or lay it out again.`,
    },
    { label: 'Origin', text: 'At the left, where it begins; the length runs away from you.' },
    {
      label: 'Setting',
      text: `As for ${facts.kind} vinyl${facts.thicknessUm ? ` of ${facts.thicknessUm} µm` : ''}${facts.pen ? '; pen in the second holder' : ''}. Test cut first.`,
    },
    {
      label: 'After it',
      text: facts.isRoll
        ? `${facts.trim ? 'The last cut parts it from the roll' : 'Cut it off the roll'} at ${length(facts.usedLengthMm)}.`
        : 'Write its code on what is left.',
    },
  ];
}

export function describeLeftover(leftover: Leftover, settings: FormatSettings): string {
  const size = (ring: Leftover['pieces'][number]) => {
    const xs = ring.map((point) => point.x),
      ys = ring.map((point) => point.y);
    return `${formatLength(Math.max(...xs) - Math.min(...xs), settings)} × ${formatLength(Math.max(...ys) - Math.min(...ys), settings)}`;
  };
  switch (leftover.kind) {
    case 'strip':
      return `cut off square: ${size(leftover.pieces[0]!)}`;
    case 'rectangles':
      return `${leftover.pieces.length === 1 ? 'the largest rectangle' : `${leftover.pieces.length} rectangles`}: ${leftover.pieces.map(size).join(' and ')}`;
    case 'shape':
      return `as it is: ${formatArea(leftover.areaMm2, settings)} within ${size(leftover.pieces[0]!)}`;
    default:
      return leftover.kind satisfies never;
  }
}

export function describeDayLoad(load: DayLoad<LoadPart>, stocked: boolean, settings: FormatSettings): string {
  return `${plural(load.parts.length, 'part')}, ${formatDuration(load.seconds, settings)}${!stocked ? ', nothing on the shelf' : load.today ? '' : ', no time left for it today'}`;
}

/** What is told once a load is cut: how many parts, and what to write on what is left. */
export function describeCutLoad(parts: number, offcuts: readonly string[]): string {
  const codes = offcuts.length > 0 ? `; write ${offcuts.join(', ')} on what is left` : '';
  return `Booked: ${plural(parts, 'part')} ${verbFor(parts, 'is', 'are')} cut${codes}.`;
}

export const describeMoreSpares = (added: number, name: string): string =>
  `${added} more of ${name} on it, for the shelf.`;
