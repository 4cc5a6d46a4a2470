// The lines of work and wear, each with its label, its seconds and its whole working.

import { describe, expect, it } from 'vitest';
import { printWorking } from '../../../test/print-working';
import { PLAIN_BLANK, PLAIN_LAYER, PLAIN_SHOP, PLAIN_VINYL, STICKY_VINYL } from '../../../test/worked-example';
import type { ShopFigures, Vinyl } from '../materials';
import { planPressing, type PressPlan } from '../pressing';
import { figure } from '../units';
import type { ExactLine } from './cost-lines';
import { wearLine, getPressWear } from './wear-line';
import { cutLine, orderLine, pressLine, setupLine, weedLine } from './work-lines';

const seconds = (value: number, source: 'computed' | 'learned' | 'typed' = 'computed') =>
  figure('Hands', value, 's', source);
const planned = (vinyl: Vinyl): PressPlan => {
  const plan = planPressing({
    layers: [{ vinyl }],
    blank: vinyl === STICKY_VINYL ? { ...PLAIN_BLANK, heating: 'none' } : PLAIN_BLANK,
    shop: PLAIN_SHOP,
  });
  if (!plan.ok) throw new Error(plan.problem.kind);
  return plan.value;
};
const print = ({ parts }: ExactLine) => parts.map((part) => printWorking(part)).join('\n');

describe('set-up', () => {
  it('of one piece is its own; of ten it is shared', () => {
    const shop = { ...PLAIN_SHOP, setupPerVinylSeconds: 120 };
    expect(setupLine(2, 1, shop)).toMatchObject({ label: 'Set-up', handsSeconds: 840, time: 420 });
    expect(setupLine(2, 10, shop)).toMatchObject({ label: 'Set-up, shared by 10', handsSeconds: 84, time: 42 });
  });
});

describe('cutting and weeding', () => {
  const named = { index: 0, vinyl: PLAIN_VINYL, shop: PLAIN_SHOP };

  it('wait for the machine as long as hands are not at it, and never less than nothing', () => {
    expect(cutLine({ ...named, machine: seconds(100), hands: seconds(30) }).waitSeconds).toBe(70);
    expect(cutLine({ ...named, machine: seconds(20), hands: seconds(30) }).waitSeconds).toBe(0);
  });

  it('are measured where they are calculated from the drawing, else what they are', () => {
    const cut = (source: 'computed' | 'learned') =>
      cutLine({ ...named, machine: seconds(1), hands: seconds(1, source) }).source;
    const weed = (source: 'computed' | 'typed') => weedLine({ ...named, seconds: seconds(1, source) }).source;
    expect([cut('computed'), cut('learned'), weed('computed'), weed('typed')]).toEqual([
      'measured',
      'learned',
      'measured',
      'typed',
    ]);
  });

  it('pay the machine for each of its seconds, and carry the band of the hands', () => {
    const hands = { ...seconds(36), low: 30, high: 50 };
    const line = cutLine({ ...named, machine: seconds(360), hands, shop: { ...PLAIN_SHOP, cutterRatePerHour: 500 } });
    expect(line).toMatchObject({ cash: 50, time: 18, handsSeconds: 36, lowSeconds: 30, highSeconds: 50 });
  });
});

describe('what an order takes', () => {
  const shop: ShopFigures = { ...PLAIN_SHOP, orderSeconds: 600, piecesPerOrder: 4 };

  it('is shared by its pieces, by the usual number where they are not known, and is no line where none is counted', () => {
    expect(orderLine(1, shop)).toMatchObject({ label: 'Messages, proof, post', handsSeconds: 600 });
    expect(orderLine(3, shop)).toMatchObject({ label: 'Messages, proof, post, shared by 3', handsSeconds: 200 });
    expect(orderLine(null, shop)).toMatchObject({ label: 'Messages, proof, post, shared by 4', handsSeconds: 150 });
    expect(orderLine(3, shop)!.parts[1]).toMatchObject({ label: 'Pieces', source: 'typed' });
    expect(orderLine(null, shop)!.parts[1]!.source).not.toBe('typed');
    expect(orderLine(3, PLAIN_SHOP)).toBeNull();
  });
});

describe('pressing', () => {
  it('without heat takes no electricity, and is told as taping', () => {
    const plan = planned(STICKY_VINYL);
    const line = pressLine(plan, plan.handsSeconds, 10, { ...PLAIN_SHOP, energyPerKwh: 30, pressRatePerHour: 100 });
    expect(line).toMatchObject({ label: 'Tape and place', cash: 0, time: 40 });
    expect(line.parts).toHaveLength(2);
  });
});

describe('wear', () => {
  const shop: ShopFigures = {
    ...PLAIN_SHOP,
    bladePrice: 900,
    bladeLifeMetres: 100,
    matPrice: 600,
    matLifeLoads: 50,
    coverSheetPrice: 800,
    coverSheetPresses: 400,
    pillowPrice: 1000,
    pillowPresses: 500,
    heatTape: 7,
  };
  const loads = [figure('Loads of one', 2, 'count', 'computed'), figure('Loads of two', 1, 'count', 'computed')];
  const wear = (plan: PressPlan, own: Partial<ShopFigures> = {}, heating: 'flat' | 'wrap' = 'flat') =>
    wearLine({
      layers: [{ measurement: PLAIN_LAYER }, { measurement: PLAIN_LAYER }],
      loads,
      plan,
      blank: { heating },
      quantity: 10,
      shop: { ...shop, ...own },
    });

  it('of a hot press: a metre of blade at 9, three loads at 12 shared by ten, two closings at 2 and at 2', () => {
    const line = wear(planned(PLAIN_VINYL));
    expect(line.label).toBe('Wear: blade, mat, cover sheet');
    expect(line.cash).toBeCloseTo(9 + 3.6 + 4 + 4, 9);
    expect(
      print(line)
        .split('\n')
        .filter((text) => !text.startsWith(' ')),
    ).toEqual([
      'Blade: 9 money, computed (knife path × a metre of blade)',
      'Mat: 3.6 money, computed (loads × a load ÷ pieces)',
      'Cover sheet: 4 money, computed (press cycles ÷ life × price)',
      'Pillow: 4 money, computed (press cycles ÷ life × price)',
    ]);
    expect(print(line)).toContain('  Knife path, all layers: 1000 mm, measured');
    expect(print(line)).toContain('  Press cycles: 2 count, computed');
  });

  it('without a pillow, without heat, and with tape round what is wrapped', () => {
    const labels = (line: ExactLine) => line.parts.map((part) => part.label);
    expect(labels(wear(planned(PLAIN_VINYL), { pillowPrice: 0 }))).toEqual(['Blade', 'Mat', 'Cover sheet']);
    const cold = wear(planned(STICKY_VINYL), {}, 'wrap');
    expect(cold.label).toBe('Wear: blade, mat');
    expect(labels(cold)).toEqual(['Blade', 'Mat']);
    const wrapped = wear(planned(PLAIN_VINYL), {}, 'wrap');
    expect(labels(wrapped)).toHaveLength(5);
    expect(wrapped.cash).toBeCloseTo(9 + 3.6 + 4 + 4 + 7, 9);
  });

  it('heat tape is for what is pressed and wrapped, both', () => {
    expect(getPressWear(2, { heating: 'wrap' }, shop)).toEqual({ cover: 4, pillow: 4, heatTape: 7 });
    expect(getPressWear(0, { heating: 'wrap' }, shop).heatTape).toBe(0);
    expect(getPressWear(2, { heating: 'flat' }, shop).heatTape).toBe(0);
  });
});
