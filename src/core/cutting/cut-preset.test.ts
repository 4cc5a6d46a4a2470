import { describe, expect, it } from 'vitest';
import { choosePreset, isWornPast, type CutPreset, type PresetUse } from '.';

const preset = (name: string, use: PresetUse, savedAtMs: number): CutPreset => ({
  name,
  use,
  savedAtMs,
  bladeMetres: 300,
  setting: { forceGrams: 80, speedMmPerS: 100, passes: 1, bladeDegrees: 45 },
});
const ALL = [
  preset('old lace', 'fine', 1),
  preset('lace', 'fine', 5),
  preset('letters', 'bold', 9),
  preset('any', 'everything', 7),
];

describe('which setting a load begins with', () => {
  it.each([
    [0.9, 'lace'],
    [1.5, 'letters'],
    [6, 'letters'],
    [null, 'letters'],
  ])('its finest detail %s mm: %s', (finestMm, name) => expect(choosePreset(ALL, finestMm)!.name).toBe(name));

  it('what is kept for everything stands in, what is for another use never does', () => {
    expect(choosePreset(ALL.slice(3), 0.5)!.name).toBe('any');
    expect(choosePreset(ALL.slice(0, 2), 6)).toBeNull();
    expect(choosePreset([], null)).toBeNull();
  });
});

it('a setting is tried again after 100 m of the blade, or with a fresh one', () => {
  expect([301, 400, 401, 12].map((metres) => isWornPast({ bladeMetres: 300 }, metres))).toEqual([
    false,
    false,
    true,
    true,
  ]);
});
