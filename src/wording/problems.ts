// The one place where what can go wrong is put into words: what is wrong, where, and what to do next.

import type { LeftOut, LeftOutKind, MeasureProblem, ReadProblem } from '../core/artwork';
import type { CostProblem } from '../core/costing';
import type { PressCaution } from '../core/pressing';
import type { LetterProblem } from '../core/artwork/lettering/letter';
import type { TraceProblem } from '../core/artwork/tracing/trace-image';
import type { ChannelProblem, PriceProblem } from '../core/pricing';
import { formatLength, formatShare, formatTemperature, type FormatSettings } from '../core/units';
import { plural } from './plural';

const megabytes = (bytes: number) => `${(bytes / 1024 / 1024).toFixed(1)} MB`;

export function describeArtworkProblem(problem: ReadProblem | MeasureProblem): string {
  switch (problem.kind) {
    case 'empty-file':
      return 'The file is empty. Export the drawing again as SVG and drop that.';
    case 'file-too-large':
      return `The file has ${megabytes(problem.bytes)}; up to ${megabytes(problem.limitBytes)} are read. Remove pictures and hidden layers from it, then export again.`;
    case 'not-svg':
      return `This is not an SVG drawing: it begins with ${problem.found || 'nothing readable'}. Export it from your drawing program as SVG or DXF.`;
    case 'broken-file':
      return `The file breaks off or is damaged at line ${problem.line}, column ${problem.column}: ${problem.detail}. Export it again; if it came by mail, ask for it once more.`;
    case 'forbidden-entity':
      return `The file defines “${problem.name}” as text from elsewhere, which is never fetched. Open it in your drawing program and save it as plain SVG.`;
    case 'too-deep':
      return `Groups are nested more than ${problem.limit} deep. Ungroup the drawing, then export again.`;
    case 'too-many-elements':
      return `The drawing has more than ${problem.limit.toLocaleString('en')} elements, repeats counted. Unite shapes of one colour, then export again.`;
    case 'nothing-to-cut':
      return problem.leftOut.length > 0
        ? `Nothing in it can be cut yet: ${problem.leftOut.map(describeLeftOutShort).join(', ')}. ${LEFT_OUT_REMEDIES[problem.leftOut[0]!.kind]}`
        : 'The drawing has no filled shapes. Fill what should be cut with a colour, then export again.';
    case 'too-many-segments':
      return `The drawing comes to ${problem.segments.toLocaleString('en')} short lines at this size; up to ${problem.limit.toLocaleString('en')} are measured. Simplify its paths, or measure it smaller.`;
    case 'width-out-of-range':
      return `A piece can be from ${problem.leastMm} to ${problem.mostMm} mm wide. Choose a width in between.`;
    default:
      return problem satisfies never;
  }
}

const LEFT_OUT_NAMES: Readonly<Record<LeftOutKind, readonly [string, string]>> = {
  text: ['live text', 'live texts'],
  image: ['embedded picture', 'embedded pictures'],
  stroke: ['line drawn as a stroke', 'lines drawn as strokes'],
  mask: ['mask', 'masks'],
  filter: ['filter', 'filters'],
  pattern: ['pattern fill', 'pattern fills'],
  script: ['script', 'scripts'],
  'outside-link': ['link to another file', 'links to other files'],
  'unknown-shape': ['part that draws nothing here', 'parts that draw nothing here'],
  'bad-path': ['damaged path', 'damaged paths'],
  'style-rule': ['style rule', 'style rules'],
};
const LEFT_OUT_REMEDIES: Readonly<Record<LeftOutKind, string>> = {
  text: 'Turn text into outlines in your drawing program, then drop the file again.',
  image: 'A picture has no outline to follow: trace it in your drawing program.',
  stroke: 'A stroke has no area to cut: turn strokes into outlines, by the step of that name.',
  mask: 'Masks are not applied: cut the shapes to size in your drawing program.',
  filter: 'Shadows and blurs can’t be cut; the shapes were taken without them.',
  pattern: 'Give the shape a flat colour.',
  script: 'Scripts are never run; they were left aside.',
  'outside-link': 'Nothing outside the file is fetched: embed it as shapes.',
  'unknown-shape': 'Convert it to paths in your drawing program.',
  'bad-path': 'What stands before the damage was taken. Check the picture, and export again if something is missing.',
  'style-rule': 'A style was not understood; check the colours.',
};

const describeLeftOutShort = ({ kind, count: number }: LeftOut): string => plural(number, ...LEFT_OUT_NAMES[kind]);

/** What was left out and what to do about it. */
export function describeLeftOut(entry: LeftOut): { readonly what: string; readonly remedy: string } {
  const names =
    entry.names.length > 0 ? `: ${entry.names.join(', ')}${entry.count > entry.names.length ? ' …' : ''}` : '';
  return { what: `${describeLeftOutShort(entry)} left out${names}`, remedy: LEFT_OUT_REMEDIES[entry.kind] };
}

export function describeTraceProblem(problem: TraceProblem | { readonly kind: 'not-a-picture' }): string {
  switch (problem.kind) {
    case 'not-a-picture':
      return 'This picture can’t be opened: it breaks off or is of a kind not known here. Save it again as PNG or JPEG.';
    case 'empty-picture':
      return 'Nothing but ground was found in the picture. Ask for one colour more, or keep the ground.';
    case 'picture-too-large':
      return `The picture has ${problem.pixels.toLocaleString('en')} pixels; up to ${problem.limit.toLocaleString('en')} are traced. Scale it down, then try again.`;
    default:
      return problem satisfies never;
  }
}

export function describeLetterProblem(problem: LetterProblem): string {
  switch (problem.kind) {
    case 'no-text':
      return 'Write what is to be cut.';
    case 'no-glyphs':
      return `This typeface has no ${[...problem.characters].map((character) => `“${character}”`).join(', ')}. Choose another, or write it differently.`;
    case 'inset-too-large':
      return `An inset of ${problem.insetMm} mm leaves nothing of the letters. Make it smaller, or the letters larger.`;
    default:
      return problem satisfies never;
  }
}

export function describeCostProblem(problem: CostProblem, settings: FormatSettings): string {
  switch (problem.kind) {
    case 'wider-than-roll':
      return problem.shrinkTo > 0
        ? `The layer in ${problem.vinylName} needs ${formatLength(problem.needsMm, settings)} with its margins, but the roll gives ${formatLength(problem.usableMm, settings)}. Make the artwork ${formatShare(Math.floor(problem.shrinkTo * 1000) / 1000, settings)} of this width or smaller, or use a wider roll.`
        : `The roll of ${problem.vinylName} gives ${formatLength(problem.usableMm, settings)} between its edges: too narrow for any piece with its margins. Use a wider roll.`;
    case 'no-safe-window':
      return `${problem.vinylName} needs at least ${formatTemperature(problem.needsC, settings)}, but ${problem.blankName} takes no more than ${formatTemperature(problem.ceilingC, settings)}. Choose a vinyl that is pressed cooler, or another blank.`;
    case 'windows-apart':
      return `${problem.vinylNames[0]} takes at most ${formatTemperature(problem.highC, settings)}, ${problem.vinylNames[1]} needs at least ${formatTemperature(problem.lowC, settings)}: they can't be pressed together. Change one of the two.`;
    case 'blank-takes-no-heat':
      return `${problem.blankName} takes no heat, and ${problem.vinylName} is pressed on. Choose an adhesive vinyl for it, or iron it onto a clear decal film: that is among the layers of its pressing.`;
    case 'unknown-size':
      return `${problem.blankName} has no size ${problem.sizeName} any more. Choose one of its sizes.`;
    case 'no-layers':
      return 'The artwork has no layer to cut. Choose another artwork.';
    default:
      return problem satisfies never;
  }
}

export function describePriceProblem(problem: PriceProblem, settings: FormatSettings): string {
  return `A fee of ${formatShare(problem.feeShare, settings)} and a goal of ${formatShare(problem.goalShare, settings)} leave nothing of the price to pay the cost. Lower one of them.`;
}

/** Of a price near where none holds: how little of each unit more is left. */
export const describeSteepness = (left: number, settings: FormatSettings): string =>
  `Of each amount you ask more only ${formatShare(left, settings, 0)} is left: a small change of fees or goal moves this price a lot.`;

export const describeChannelProblem = (problem: ChannelProblem, settings: FormatSettings): string =>
  `It takes ${formatShare(problem.taken, settings)} of the price, and a goal of ${formatShare(problem.goal, settings)} leaves nothing to pay the cost. Lower one of them.`;

export function describeCaution(caution: PressCaution, settings: FormatSettings): string {
  switch (caution.kind) {
    case 'hot-platen':
      return 'Platen and film are hot. Keep others away; never leave a hot press closed and alone.';
    case 'drinkware':
      return 'Keep the decoration clear of lip and food. Gloves: the cup stays hot for minutes.';
    case 'temperatures':
      return `Its places are pressed at ${formatTemperature(caution.fromC, settings)} and ${formatTemperature(caution.toC, settings)}: press all pieces at one place first, then change the temperature.`;
    case 'cure':
      return `Leave it about ${caution.hours} h before washing or use.`;
    case 'nothing-over':
      return `Nothing holds on top of ${caution.lower}: knock it out under ${caution.upper}, or change the order.`;
    case 'puff-last':
      return `${caution.vinylName} rises: press it last, and nothing on top of it.`;
    case 'small-stones':
      return 'Stones that come off are swallowed by small children: none on what they wear or play with.';
    case 'stones-unset':
      return 'Nothing of it is pressed with heat, so hot-fix stones won’t hold: set them with a glue for the surface.';
    case 'stones-off':
      return `${formatTemperature(caution.ownC, settings)} is off what the glue of stones wants (${formatTemperature(caution.lowC, settings)} to ${formatTemperature(caution.highC, settings)}). Try one first, and pull at it when it is cold.`;
    case 'no-steam':
      return 'Iron or hand press: no water, no steam. Lean on it, do not slide; each section over the edge of the last.';
    case 'too-much-heat':
      return `${caution.vinylName} is under heat for ${caution.seconds} s in all; more than ${caution.limitSeconds} s may scorch it or dry its glue. Tack the layers, or lay them on one carrier.`;
    case 'peeled-hotter':
      return `The maker of ${caution.vinylName} says peel ${caution.asks}: peeled ${caution.peel}, it may lift.`;
    case 'off-maker':
      return `${formatTemperature(caution.ownC, settings)} is off what the maker of ${caution.vinylName} says (${formatTemperature(caution.lowC, settings)} to ${formatTemperature(caution.highC, settings)}). Try one first.`;
    case 'off-blank':
      return `${formatTemperature(caution.ownC, settings)} is more than ${caution.blankName} stands (${formatTemperature(caution.ceilingC, settings)}): it may scorch, shine or bleed. Try one first.`;
    case 'stack-thick':
      return `${caution.layers} layers on one carrier do not lie flat: three at the most.`;
    default:
      return caution satisfies never;
  }
}
