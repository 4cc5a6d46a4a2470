// A heat press that isn't there: it warms up along a curve, drifts about its target, loses a little heat to every piece
// it closes on, and now and then a reading. All told by the clock, so that it goes on while nobody looks.

import { MS_PER_S } from '../core/units';
import type { Press, PressReading } from '../ports/press';
import type { MemoryStore } from './simulated-cutter';

export type PressMemory = {
  readonly isOn: boolean;
  readonly targetC: number;
  /** From here it warms or cools since then. */
  readonly fromC: number;
  /** Epoch ms. */
  readonly sinceMs: number;
  /** Epoch ms; null while it is open. */
  readonly closedAtMs: number | null;
  /** Its sensor gives nothing, to see what follows. */
  readonly isBlind: boolean;
};

const ROOM_C = 20;
const NEW_PRESS: PressMemory = {
  isOn: false,
  targetC: ROOM_C,
  fromC: ROOM_C,
  sinceMs: 0,
  closedAtMs: null,
  isBlind: false,
};

/** A usual press needs twelve minutes to 155 °C: it heats at this rate until it is near, and cools as slowly. */
const HEAT_C_PER_S = 0.19;
const COOL_TIME_S = 1500;
/** The thermostat lets it swing by so much, in so many seconds. */
const SWING_C = 1.5;
const SWING_S = 40;
/** What a cold piece takes from the platen when it closes, and how soon that is made up. */
const DIP_C = 6;
const DIP_TIME_S = 25;
/** As hot as it should be. */
const NEAR_C = 3;

export class SimulatedPress implements Press {
  readonly name = 'Simulated press';
  readonly isSimulated = true;

  constructor(
    private readonly store: MemoryStore<PressMemory>,
    private readonly now: () => number,
  ) {}

  read(): PressReading {
    const memory = this.remember();
    const { isOn, targetC, closedAtMs, isBlind } = memory;
    const nowMs = this.now();
    const temperatureC = computeTemperature(memory, nowMs);
    const missingC = targetC - temperatureC;
    return {
      isOn,
      targetC,
      temperatureC: isBlind ? null : Math.round(temperatureC),
      readyInS: isBlind || !isOn ? null : Math.abs(missingC) <= NEAR_C ? 0 : Math.ceil(secondsTo(missingC)),
      closedForS: closedAtMs === null ? null : Math.max(0, (nowMs - closedAtMs) / MS_PER_S),
    };
  }

  heatTo(temperatureC: number): void {
    const memory = this.remember();
    if (memory.isOn && memory.targetC === temperatureC) return;
    this.store.write({ ...this.settle(memory), isOn: true, targetC: temperatureC });
  }

  close(): void {
    const memory = this.remember();
    this.store.write({ ...memory, closedAtMs: this.now() });
  }

  open(): void {
    const memory = this.remember();
    if (memory.closedAtMs === null) return;
    this.store.write({ ...this.settle(memory), closedAtMs: null });
  }

  switchOff(): void {
    this.store.write({ ...this.settle(this.remember()), isOn: false, targetC: ROOM_C, closedAtMs: null });
  }

  /** The sensor’s wire is pulled, or put back. */
  setBlind(isBlind: boolean): void {
    this.store.write({ ...this.remember(), isBlind });
  }

  private remember(): PressMemory {
    return this.store.read() ?? NEW_PRESS;
  }

  /** From as hot as it is now. */
  private settle(memory: PressMemory): PressMemory {
    const nowMs = this.now();
    return { ...memory, fromC: computeTemperature(memory, nowMs), sinceMs: nowMs };
  }
}

const secondsTo = (missingC: number): number =>
  missingC > 0 ? missingC / HEAT_C_PER_S : COOL_TIME_S * Math.log(1 + -missingC / NEAR_C);

/** °C of the platen. A clock set back takes it back to where it began, never colder. */
function computeTemperature({ isOn, targetC, fromC, sinceMs, closedAtMs }: PressMemory, nowMs: number): number {
  const seconds = Math.max(0, (nowMs - sinceMs) / MS_PER_S);
  if (!isOn || fromC > targetC + SWING_C) {
    const floorC = isOn ? targetC : ROOM_C;
    return floorC + (fromC - floorC) * Math.exp(-seconds / COOL_TIME_S);
  }
  const risen = fromC + HEAT_C_PER_S * seconds;
  if (risen < targetC) return risen;
  const swing = SWING_C * Math.sin((2 * Math.PI * seconds) / SWING_S);
  const closedS = closedAtMs === null ? null : Math.max(0, (nowMs - closedAtMs) / MS_PER_S);
  const dip = closedS === null ? 0 : DIP_C * Math.exp(-closedS / DIP_TIME_S);
  return targetC + swing - dip;
}
