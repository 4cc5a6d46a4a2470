import { describe, expect, it } from 'vitest';
import { dueDay, itemInput, orderInput, progressInput, shopInput, spoilInput, vinylInput, widthMm } from './index';
import { DEFAULT_SHOP_FIGURES } from '../materials';

const refusal = (schema: { validateSync: (value: unknown) => unknown }, value: unknown): string | null => {
  try {
    schema.validateSync(value);
    return null;
  } catch (error) {
    return (error as Error).message;
  }
};
const vinyl = {
  name: 'A',
  kind: 'smooth',
  supplier: '',
  colourName: 'red',
  colourHex: '#ff0000',
  rollWidthMm: 500,
  rollLengthMm: 1000,
  rollPrice: 100,
  weedingFactor: 1,
  press: { lowC: 150, highC: 160, seconds: 10, pressure: 'firm', peel: 'hot' },
};

describe('what may be typed', () => {
  it('takes numbers as text where they are plain; a comma is read by the locale before, never guessed here', () => {
    expect(widthMm.validateSync('120.5')).toBe(120.5);
    expect(refusal(widthMm, '1,200')).toContain('from 3 to 3000');
  });

  it('takes amounts of currencies with many minor units: an hour in forint, a roll in rupiah', () => {
    const { wagePerHour } = DEFAULT_SHOP_FIGURES;
    const shop = { name: 'A', currency: 'HUF', locale: 'hu-HU', timeZone: 'UTC' };
    const figures = { ...DEFAULT_SHOP_FIGURES, wagePerHour: 300_000 };
    expect(wagePerHour).not.toBe(300_000);
    expect(refusal(shopInput, { ...shop, figures })).toBeNull();
    expect(refusal(vinylInput, { ...vinyl, rollPrice: 200_000_000 })).toBeNull();
  });

  it.each([
    ['EUR', null],
    ['JPY', null],
    ['KWD', null],
    ['ABC', 'none is called so'],
    ['EU', 'three capital letters'],
  ])('a currency called %s', (currency, said) => {
    const refused = refusal(shopInput, {
      name: 'A',
      currency,
      locale: 'en-GB',
      timeZone: 'UTC',
      figures: DEFAULT_SHOP_FIGURES,
    });
    if (said === null) expect(refused).toBeNull();
    else expect(refused).toContain(said);
  });

  it.each([
    ['', 'from 3 to 3000'],
    ['abc', 'from 3 to 3000'],
    [2, 'from 3 to 3000'],
    [1e9, 'from 3 to 3000'],
    [Number.NaN, 'from 3 to 3000'],
    [Infinity, 'from 3 to 3000'],
  ])('a width of %j is refused with its range', (value, range) => {
    expect(refusal(widthMm, value)).toContain(range);
  });

  it.each([
    ['2026-02-30', false],
    ['2026-13-01', false],
    ['soon', false],
    ['2027-03-31', true],
  ])('the day %s: %s', (day, good) => {
    expect(refusal(dueDay, day) === null).toBe(good);
  });

  it('names the field and the reason', () => {
    expect(refusal(vinylInput, { ...vinyl, rollWidthMm: 0 })).toContain('Roll width: from 20 to 3000');
    expect(refusal(vinylInput, { ...vinyl, press: { ...vinyl.press, highC: 140 } })).toContain('not below the lowest');
    expect(refusal(vinylInput, { ...vinyl, colourHex: 'url(x)' })).toContain('six digits');
    expect(refusal(itemInput, { quantity: 1.5 })).not.toBeNull();
    expect(
      refusal(orderInput, {
        title: 'x',
        dueDay: '2027-01-01',
        agreed: 1,
        note: '',
        customerName: 'y',
        contact: '',
        lines: [],
      }),
    ).toContain('at least one item');
    expect(
      refusal(shopInput, {
        name: 'x',
        currency: 'EUR',
        locale: 'en-GB',
        timeZone: 'Nowhere/At all',
        figures: DEFAULT_SHOP_FIGURES,
      }),
    ).toContain('Time zone');
  });
});

describe('what is made anew of a part', () => {
  const spoil = (recut: unknown) => refusal(spoilInput, { partIds: [4], cause: 'lifted', blankLost: false, recut });

  it.each([[undefined], [null], [{ bits: [0, 2], of: 3 }]])('may be %j', (recut) => expect(spoil(recut)).toBeNull());

  it.each([[{ bits: [3], of: 3 }], [{ bits: [1, 1], of: 3 }], [{ bits: [], of: 3 }], [{ bits: [0], of: 0 }]])(
    'is not %j',
    (recut) => expect(spoil(recut)).not.toBeNull(),
  );
});

describe('a step of work', () => {
  it('needs no clocks, and takes only such as a bench has', () => {
    expect(progressInput.validateSync({ from: 0, to: 1 })).toEqual({
      from: 0,
      to: 1,
      start: [],
      stop: [],
      weeded: null,
    });
    const clock = { key: '0.1', label: 'Press', seconds: 15 };
    expect(refusal(progressInput, { from: 0, to: 0, start: [clock] })).toBeNull();
    expect(refusal(progressInput, { from: 0, to: 0, start: [{ ...clock, seconds: 0 }] })).toMatch(/Seconds/);
    expect(refusal(progressInput, { from: -1, to: 0 })).toMatch(/Step/);
  });
});
