// Steps at the press in words: on screen and on paper alike.

import { STEP_LABELS, type PressStep } from '../core/pressing';
import { formatDuration, formatTemperature, type FormatSettings } from '../core/units';

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
  ];
  return {
    what: `${STEP_LABELS[step.kind]}${where}${vinyl}${covered}`,
    facts: facts.flatMap((fact) => (fact ? [fact] : [])),
  };
}
