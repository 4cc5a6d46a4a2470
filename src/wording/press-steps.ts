// Steps at the press in words: on screen and on paper alike.

import type { ObstacleKind } from '../core/materials';
import { labelStep, type PressStep } from '../core/pressing';
import type { PressesTogether } from '../core/scheduling';
import { formatDuration, formatLength, formatTemperature, type FormatSettings } from '../core/units';

/** How to lay a blank out so that the platen closes on fabric alone. */
const LAYING_OUT: Readonly<Record<ObstacleKind, string>> = {
  zip: 'zip off the platen, or on a pillow',
  seam: 'seam off the platen, or on a pillow',
  pocket: 'board in the pocket',
  handle: 'handles off the platen',
  button: 'buttons off the platen, or on a pillow',
  rib: 'ribbing off the platen',
  drawstring: 'drawstrings pulled out of the way, their knots off the platen',
};
/** How the piece lies, and what is done beside pressing. */
export const describeBed = ({
  inTheWay = [],
  pressedBelow,
  isWrapped,
  stretchFirst,
  sections,
}: PressStep): readonly string[] => [
  ...inTheWay.map((kind) => LAYING_OUT[kind]),
  ...(pressedBelow ? ['on a pillow, what is pressed already lies soft below'] : []),
  ...(isWrapped ? ['stretch it on, rub the air out to the sides'] : []),
  ...(stretchFirst ? ['stretch it gently first'] : []),
  ...(sections ? [`in ${sections} sections, each over the edge of the last`] : []),
];
/** What is laid on of stones; nothing of any other step. */
export const describeStones = ({ kind, stones }: PressStep, settings: FormatSettings): readonly string[] =>
  kind === 'stones' && stones
    ? [
        `${stones.count} of ${formatLength(stones.diameterMm, settings)}`,
        'brushed into the template, lifted with hot-fix tape',
      ]
    : [];

/** What is done, and how hot, how long, how hard. */
export function describePressStep(
  step: PressStep,
  settings: FormatSettings,
): { readonly what: string; readonly facts: readonly string[] } {
  const where = step.kind === 'lay-out' && step.place ? `: ${step.place}` : '';
  const vinyl = step.vinylName ? `: ${step.vinylName}` : '';
  const covered = step.covered && step.kind !== 're-press' ? ', covered' : '';
  const facts = [
    step.temperatureC === undefined ? null : formatTemperature(step.temperatureC, settings),
    formatDuration(step.seconds, settings),
    step.pressure,
    step.kind === 'peel' ? step.peel : null,
    ...describeBed(step),
    ...describeStones(step, settings),
  ];
  return {
    what: `${labelStep(step)}${where}${vinyl}${covered}`,
    facts: facts.flatMap((fact) => (fact ? [fact] : [])),
  };
}

/** How it was really pressed: “Tarn Cool, white at 150 °C (read 148 °C to 152 °C), 15 s, peel cold”. */
export function describePresses(
  { vinylName, plannedC, read, seconds, peel }: PressesTogether,
  settings: FormatSettings,
): string {
  const heat = (celsius: number) => formatTemperature(celsius, settings);
  const [low, high] = [read && heat(read.lowC), read && heat(read.highC)];
  const told = low === null ? '' : low === high ? ` (read ${low})` : ` (read ${low} to ${high})`;
  return `${vinylName} at ${heat(plannedC)}${told}, ${formatDuration(seconds, settings)}, peel ${peel}`;
}
