import fc from 'fast-check';
import { beforeEach, describe, expect, it } from 'vitest';
import { SimulatedPress, type PressMemory } from './simulated-press';

let nowMs = 0;
let memory: PressMemory | null = null;
let press: SimulatedPress;
const MINUTE_MS = 60_000;
const store = {
  read: () => memory,
  write: (next: PressMemory) => {
    memory = next;
  },
};
beforeEach(() => {
  nowMs = 1_000_000;
  memory = null;
  press = new SimulatedPress(store, () => nowMs);
});

describe('a press that is not there', () => {
  it('is off and at the heat of the room until it is asked for heat', () => {
    expect(press.read()).toEqual({ isOn: false, temperatureC: 20, targetC: 20, readyInS: null, closedForS: null });
  });

  it('is hot after about twelve minutes, and tells how long it takes', () => {
    press.heatTo(155);
    const { readyInS } = press.read();
    expect(readyInS! / 60).toBeGreaterThan(10);
    expect(readyInS! / 60).toBeLessThan(14);
    nowMs += readyInS! * 1000;
    expect(press.read().readyInS).toBe(0);
  });

  it('stays within a few degrees once it is hot, and never gets colder on its way up', () => {
    press.heatTo(155);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 3600 }), fc.integer({ min: 0, max: 3600 }), (a, b) => {
        const at = (seconds: number) => {
          nowMs = 1_000_000 + seconds * 1000;
          return press.read().temperatureC!;
        };
        const [early, late] = [at(Math.min(a, b)), at(Math.max(a, b))];
        expect(late).toBeGreaterThanOrEqual(Math.min(early, 153));
        expect(Math.max(early, late)).toBeLessThanOrEqual(157);
      }),
    );
  });

  it('loses some heat to a piece, and makes it up while it is closed', () => {
    press.heatTo(155);
    nowMs += 20 * MINUTE_MS;
    const before = press.read().temperatureC!;
    press.close();
    const just = press.read();
    expect(just.closedForS).toBe(0);
    expect(just.temperatureC!).toBeLessThan(before - 3);
    nowMs += 2 * MINUTE_MS;
    expect(press.read().temperatureC!).toBeGreaterThanOrEqual(152);
    expect(press.read().closedForS).toBe(120);
    press.open();
    expect(press.read().closedForS).toBeNull();
  });

  it('cools slowly to a lower heat, and to the room when it is switched off', () => {
    press.heatTo(155);
    nowMs += 20 * MINUTE_MS;
    press.heatTo(120);
    const cooling = press.read();
    expect(cooling.readyInS!).toBeGreaterThan(5 * 60);
    nowMs += cooling.readyInS! * 1000;
    expect(Math.abs(press.read().temperatureC! - 120)).toBeLessThanOrEqual(4);
    press.switchOff();
    nowMs += 600 * MINUTE_MS;
    expect(press.read()).toMatchObject({ isOn: false, temperatureC: 20 });
  });

  it('says nothing while its sensor is lost, and goes on heating; a restart and a clock set back change nothing', () => {
    press.heatTo(155);
    press.setBlind(true);
    nowMs += 20 * MINUTE_MS;
    expect(press.read()).toMatchObject({ isOn: true, temperatureC: null, readyInS: null });
    press.setBlind(false);
    const again = new SimulatedPress(store, () => nowMs);
    expect(again.read().temperatureC!).toBeGreaterThan(150);
    nowMs -= 30 * MINUTE_MS;
    expect(again.read().temperatureC!).toBeGreaterThanOrEqual(20);
  });
});
