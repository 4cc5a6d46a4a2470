// A program in the plotter language, read as a machine reads it: which lines the tool follows, in which order. Language:
// HP-GL, of which a cutter needs a dozen commands; what it doesn't know is passed over, as machines do.

import { STEPS_PER_MM } from '../artwork';
import type { Point, Polyline } from '../geometry';
import { fail, succeed, type Result } from '../units';

/** Longer programs are refused: the machine's memory ends. */
const MOST_POINTS = 2_000_000;

/** One line from where the tool comes down to where it lifts; at least two points, mm, y upwards. */
type ToolLine = { readonly tool: number; readonly points: Polyline };
type CutProgram = {
  readonly lines: readonly ToolLine[];
  /** Null where the program says nothing: then the machine's own. */
  readonly forceGrams: number | null;
  readonly speedMmPerS: number | null;
};
type HpglProblem =
  | { readonly kind: 'not-hpgl' }
  | { readonly kind: 'bad-coordinates'; readonly command: string }
  | { readonly kind: 'nothing-to-cut' }
  | { readonly kind: 'too-long'; readonly points: number };

/** Tool 0 is none: what is drawn without one is travel. */
export function readHpgl(text: string): Result<CutProgram, HpglProblem> {
  const commands = splitCommands(text);
  if (!commands.some(({ name }) => name === 'PD' || name === 'PU')) return fail({ kind: 'not-hpgl' });
  const machine = new PlotterState();
  for (const { name, numbers } of commands) {
    if (MOVES.has(name) && (numbers.length % 2 !== 0 || numbers.some((number) => !Number.isFinite(number))))
      return fail({ kind: 'bad-coordinates', command: name });
    machine.take(name, numbers);
    if (machine.points > MOST_POINTS) return fail({ kind: 'too-long', points: machine.points });
  }
  const program = machine.finish();
  return program.lines.length > 0 ? succeed(program) : fail({ kind: 'nothing-to-cut' });
}

const MOVES: ReadonlySet<string> = new Set(['PU', 'PD', 'PA', 'PR']);

/** Two letters, then numbers apart by commas or blanks, ended by a semicolon or the next letters. */
function splitCommands(text: string): readonly { readonly name: string; readonly numbers: readonly number[] }[] {
  return [...text.matchAll(/([A-Za-z]{2})([^A-Za-z;]*)/g)].map(([, name, rest]) => ({
    name: name!.toUpperCase(),
    numbers: rest!
      .split(/[\s,]+/)
      .filter((part) => part !== '')
      .map(Number),
  }));
}

/** What a machine keeps while it reads: where the tool is, whether it is down, and how coordinates are meant. */
class PlotterState {
  points = 0;
  private readonly lines: ToolLine[] = [];
  private current: Point[] | null = null;
  private at: Point = { x: 0, y: 0 };
  private isDown = false;
  private isRelative = false;
  private tool = 1;
  private forceGrams: number | null = null;
  private speedMmPerS: number | null = null;

  take(name: string, numbers: readonly number[]): void {
    switch (name) {
      case 'PU':
      case 'PD':
        this.isDown = name === 'PD';
        if (!this.isDown) this.lift();
        return this.follow(numbers);
      case 'PA':
      case 'PR':
        this.isRelative = name === 'PR';
        return this.follow(numbers);
      case 'SP':
        this.lift();
        this.tool = numbers[0] ?? 0;
        return;
      case 'FS':
        this.forceGrams = numbers[0] ?? null;
        return;
      case 'VS':
        // In centimetres a second.
        this.speedMmPerS = numbers[0] === undefined ? null : numbers[0] * 10;
        return;
      default:
    }
  }

  finish(): CutProgram {
    this.lift();
    return { lines: this.lines, forceGrams: this.forceGrams, speedMmPerS: this.speedMmPerS };
  }

  private follow(numbers: readonly number[]): void {
    for (let index = 0; index < numbers.length; index += 2) {
      const x = numbers[index]! / STEPS_PER_MM;
      const y = numbers[index + 1]! / STEPS_PER_MM;
      const to = this.isRelative ? { x: this.at.x + x, y: this.at.y + y } : { x, y };
      if (this.isDown && this.tool > 0) {
        this.current ??= [this.at];
        this.current.push(to);
      }
      this.at = to;
      this.points++;
    }
  }

  private lift(): void {
    if (this.current) this.lines.push({ tool: this.tool, points: this.current });
    this.current = null;
  }
}
