// What is to be done next at a station, in words: large on the bench, one thing at a time.

import type { CutSetting } from '../core/cutting';
import { isDelicate } from '../core/materials';
import { labelStep, type ApplyPart, type PressStep } from '../core/pressing';
import type { Instruction } from '../core/scheduling';
import { describeSetting } from './cutting';
import { describeBed, describeStones } from './press-steps';
import { formatDuration, formatLength, formatTemperature, type FormatSettings } from '../core/units';
import type { BenchLineView, BenchPartView, BenchView } from '../views/bench';
import { plural, verbFor } from './plural';

export type SaidInstruction = {
  readonly what: string;
  /** Each by itself, to be read from afar. */
  readonly facts: readonly string[];
};
type Batch = {
  /** A part of each piece, or each part by itself. */
  readonly pieces: readonly BenchPartView[];
  readonly line: BenchLineView | undefined;
  readonly vinyls: BenchView['vinyls'];
  /** Of a load. */
  readonly sheetCount?: number;
  /** Cut without a load: with which setting. */
  readonly setting?: CutSetting | undefined;
};

export function describeInstruction(
  instruction: Instruction,
  { pieces, line, vinyls, sheetCount = 1, setting }: Batch,
  settings: FormatSettings,
): SaidInstruction {
  const [first] = pieces;
  const part = pieces[instruction.piece ?? 0] ?? first!;
  const vinyl = vinyls.find(({ id }) => id === part.vinylId);
  switch (instruction.kind) {
    case 'load':
      return {
        what: `Load ${part.vinylName}${sayLoadSheet(instruction, sheetCount)}`,
        facts: [...new Set(pieces.map(({ handedness }) => handedness))],
      };
    case 'width':
      return {
        what: `Read the width at the machine${sayLoadSheet(instruction, sheetCount)}`,
        facts: [`the label says ${formatLength(vinyl?.rollWidthMm ?? 0, settings)}`, 'stop where it reads less'],
      };
    case 'test-cut':
      return {
        what: `Test cut in a corner${sayLoadSheet(instruction, sheetCount)}`,
        facts: [
          ...saySetting(setting),
          'through the vinyl, no mark on the backing',
          'a new setting, an old blade, a new lot',
        ],
      };
    case 'cut':
      return {
        what: `Cut ${sheetCount > 1 ? `sheet ${(instruction.sheet ?? 0) + 1}` : plural(pieces.length, 'part')}`,
        facts: [...saySetting(setting), 'watch the first minutes'],
      };
    case 'cut-off':
      return {
        what: `Cut off square${sayLoadSheet(instruction, sheetCount)}`,
        facts: ['store the rest with its code'],
      };
    case 'weed':
      return describeWeeding(part, line, vinyl?.details.warmToWeed ?? false);
    case 'read':
      return { what: `Read: ${part.texts.join(' ')}`, facts: ['letter by letter, as it stands on the ticket'] };
    case 'look':
      return { what: 'Look at it', facts: [`position: ${part.placement}`, 'edges', 'cavities', 'colour'] };
    case 'pack':
      return { what: 'Fold, label, pack', facts: [`${part.sizeName}, ${part.colourName}`] };
    case 'press':
      return instruction.step.apply
        ? describeApplying(instruction.step, instruction.step.apply, findNamed(vinyls, instruction.step.vinylName))
        : describePressing(instruction, settings);
    default:
      return instruction satisfies never;
  }
}

const saySetting = (setting: CutSetting | undefined): readonly string[] => (setting ? [describeSetting(setting)] : []);

/** Which of several. */
const sayLoadSheet = ({ sheet }: { readonly sheet: number | null }, count: number): string =>
  sheet !== null && count > 1 ? `, sheet ${sheet + 1}` : '';

function describeWeeding(part: BenchPartView, line: BenchLineView | undefined, isWarmed: boolean): SaidInstruction {
  const layer = line?.layers[part.layerIndex];
  const stays = layer?.pieces ?? 0;
  const again = part.recut ? [`only ${part.recut.bits.length} of ${part.recut.of} bits, cut again`] : [];
  return {
    what: `Weed ${part.layerText ?? part.layerName}`,
    facts: [
      ...again,
      ...(isWarmed ? ['warm it 2 to 3 s on the lower platen first'] : []),
      'outside first, from a corner',
      ...(layer
        ? [`${plural(layer.cavities, 'cavity')} out`, `${plural(stays, 'piece')} ${verbFor(stays, 'stays', 'stay')}`]
        : []),
    ],
  };
}

function describePressing(
  { step }: Extract<Instruction, { readonly kind: 'press' }>,
  settings: FormatSettings,
): SaidInstruction {
  const { kind, vinylName, place, temperatureC, seconds, pressure, peel, covered } = step;
  const timed = temperatureC !== undefined || kind === 'wait';
  return {
    what: `${labelStep(step)}${vinylName ? `: ${vinylName}` : ''}`,
    facts: [
      kind === 'lay-out' || kind === 'place' ? place : undefined,
      ...describeBed(step),
      ...describeStones(step, settings),
      temperatureC === undefined ? undefined : formatTemperature(temperatureC, settings),
      timed ? formatDuration(seconds, settings) : undefined,
      pressure,
      kind === 'peel' || kind === 'wait' ? peel && `peel ${peel}` : undefined,
      temperatureC === undefined || kind === 'pre-press' ? undefined : covered ? 'covered' : 'no cover',
    ].flatMap((fact) => fact ?? []),
  };
}

const findNamed = (vinyls: BenchView['vinyls'], name: string | undefined) =>
  vinyls.find((vinyl) => vinyl.name === name);

type TapeUse = NonNullable<PressStep['tapeUse']>;
const sayTape = ({ use, of }: TapeUse): string =>
  use > 1 ? `the tape of the piece before, use ${use} of ${of}` : of > 1 ? `new tape, use 1 of ${of}` : 'new tape';
function sayTapeAfter({ use, of, isLast }: TapeUse): string {
  if (use === of) return of > 1 ? `away with it: it served ${of} times` : 'away with it';
  return isLast ? `keep it on its liner: ${plural(of - use, 'use')} left` : 'keep it for the next piece';
}

/** Sticking a decal on, one thing after another. */
function describeApplying(
  { vinylName = '', isWrapped, tapeUse = { use: 1, of: 1, isLast: true } }: PressStep,
  part: ApplyPart,
  vinyl: BenchView['vinyls'][number] | undefined,
): SaidInstruction {
  switch (part) {
    case 'clean':
      return {
        what: 'Clean the surface',
        facts: ['alcohol and a cloth that leaves no lint', 'dry, no dust, no fresh paint'],
      };
    case 'tape':
      return {
        what: `Tape on: ${vinylName}`,
        facts: [
          sayTape(tapeUse),
          ...(vinyl && isDelicate(vinyl) ? ['thin vinyl: dull the tape on cloth first, or it will not let go'] : []),
          'from the middle outwards, then rub it down',
          'turn it over and rub the back',
        ],
      };
    case 'lift':
      return { what: 'Pull the liner off the vinyl', facts: ['not the vinyl off the liner', 'low, and slowly'] };
    case 'set':
      return {
        what: `Set it down: ${vinylName}`,
        facts: ['the middle first, then rub outwards', ...(isWrapped ? ['slit the tape’s edge on the curve'] : [])],
      };
    case 'peel-tape':
      return {
        what: 'Peel the tape',
        facts: ['back on itself, at a sharp angle', 'from fine parts to bold ones', sayTapeAfter(tapeUse)],
      };
    case 'paint':
      return {
        what: 'Paint through the stencil',
        facts: ['rub its edges down once more', 'little paint, dabbed, not stroked', 'two thin coats before one thick'],
      };
    case 'lift-stencil':
      return { what: 'Lift the stencil', facts: ['before the paint is quite dry', 'slowly, straight up'] };
    default:
      return part satisfies never;
  }
}
