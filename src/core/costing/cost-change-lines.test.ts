// Why a cost changed, on costs of a few lines that are made up for it.

import { describe, expect, it } from 'vitest';
import { figure, type Figure } from '../units';
import { explainChange, toAcceptedCost } from './cost-change';
import type { ItemCost } from './item-cost';

type Line = readonly [label: string, total: number, ...parts: Figure[]];
const given = (label: string, value: number): Figure => figure(label, value, 'money', 'shop');

function cost(withRisk: number, ...lines: readonly Line[]): ItemCost {
  return {
    quantity: 12,
    withRisk: figure('One costs', withRisk, 'money', 'computed'),
    lines: lines.map(([label, total, ...parts]) => ({
      total,
      figure: figure(label, total, 'money', 'computed', { parts }),
    })),
  } as unknown as ItemCost;
}
const explain = (before: ItemCost, after: ItemCost) => explainChange(toAcceptedCost(before, 7), after);

describe('a cost as it was accepted', () => {
  it('keeps when, how many, its lines, and what was given, each once', () => {
    const hour = given('Your hour', 1800);
    const minutes = figure('Minutes', 90, 's', 'computed', { parts: [given('A metre takes', 3), hour] });
    const accepted = toAcceptedCost(
      cost(140, ['Vinyl', 100, given('Roll price', 50), given('Roll price', 51)], ['Cut', 40, minutes, hour]),
      7,
    );
    expect(accepted).toEqual({
      atMs: 7,
      quantity: 12,
      withRisk: 140,
      lines: [
        { label: 'Vinyl', total: 100 },
        { label: 'Cut', total: 40 },
      ],
      inputs: [
        { label: 'Roll price', value: 50, unit: 'money' },
        { label: 'A metre takes', value: 3, unit: 'money' },
        { label: 'Your hour', value: 1800, unit: 'money' },
      ],
    });
  });

  it('names what differs from line to line after its line', () => {
    const { inputs } = toAcceptedCost(
      cost(9, ['Cut', 4, given('Takes', 30), given('Hour', 18)], ['Weed', 5, given('Takes', 60), given('Hour', 18)]),
      7,
    );
    expect(inputs.map(({ label, value }) => [label, value])).toEqual([
      ['Takes (Cut)', 30],
      ['Takes (Weed)', 60],
      ['Hour', 18],
    ]);
  });

  it('counts a figure without parts as given, and what is only calculated not at all', () => {
    const bare: Figure = { ...given('Price', 5), parts: [] };
    const { inputs } = toAcceptedCost(cost(5, ['Blank', 5, bare, figure('Sum', 5, 'money', 'computed')]), 7);
    expect(inputs.map(({ label }) => label)).toEqual(['Price']);
  });
});

describe('a change', () => {
  const before = cost(
    200,
    ['Blank', 60, given('Blank price', 60)],
    ['Vinyl', 100, given('Roll price', 50)],
    ['Cut', 30, given('Speed', 50)],
    ['Ribbon', 10, given('Ribbon price', 10)],
  );

  it('is none where it costs what it did, whatever moved within', () => {
    expect(explain(before, cost(200, ['Blank', 200, given('Blank price', 200)]))).toBeNull();
  });

  it('names what both have and differs, and each line that moved, the most first', () => {
    const after = cost(
      206,
      ['Blank', 60, given('Blank price', 60)],
      ['Vinyl', 102, given('Roll price', 51)],
      ['Cut', 35, given('Speed', 40)],
      ['Tape', 9, given('Tape price', 4)],
    );
    const change = explain(before, after)!;
    expect([change.was, change.now.value]).toEqual([200, 206]);
    expect(change.because).toEqual([
      { label: 'Roll price', was: 50, now: 51, unit: 'money' },
      { label: 'Speed', was: 50, now: 40, unit: 'money' },
    ]);
    expect(change.lines).toEqual([
      { label: 'Ribbon', was: 10, now: 0 },
      { label: 'Tape', was: 0, now: 9 },
      { label: 'Cut', was: 30, now: 35 },
      { label: 'Vinyl', was: 100, now: 102 },
    ]);
  });

  it('that rests on nothing both have names what only one has', () => {
    const change = explain(
      cost(10, ['Ribbon', 10, given('Ribbon price', 10)]),
      cost(4, ['Tape', 4, given('Tape price', 4)]),
    )!;
    expect(change.because).toEqual([
      { label: 'Ribbon price', was: 10, now: null, unit: 'money' },
      { label: 'Tape price', was: null, now: 4, unit: 'money' },
    ]);
  });

  it('takes the rounding of a computer for no change', () => {
    const change = explain(
      cost(3, ['Cut', 3, given('Speed', 0.3), given('Price', 1)]),
      cost(4, ['Cut', 4, given('Speed', 0.1 + 0.2), given('Price', 2)]),
    )!;
    expect(change.because.map(({ label }) => label)).toEqual(['Price']);
  });
});
