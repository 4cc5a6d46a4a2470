import { describe, expect, it } from 'vitest';
import { getOrdinaryDetails, VINYL_KIND_NAMES } from '../materials';
import { blankInput, offerInput, supplyInput, vinylInput, wearInput } from './index';

type Checker = { readonly validateSync: (value: unknown, options?: { stripUnknown?: boolean }) => unknown };
function refusal(schema: Checker, value: unknown): string | null {
  try {
    schema.validateSync(value);
    return null;
  } catch (error) {
    return (error as Error).message;
  }
}
const press = { lowC: 150, highC: 160, seconds: 10, pressure: 'firm', peel: 'hot' };
const vinyl = (details: object) => ({
  name: 'A',
  kind: 'smooth',
  supplier: '',
  colourName: 'red',
  colourHex: '#ff0000',
  rollWidthMm: 500,
  rollLengthMm: 1000,
  rollPrice: 100,
  weedingFactor: 1,
  press,
  details: { ...getOrdinaryDetails('smooth'), ...details },
});

describe('what is said of a vinyl', () => {
  it('the ordinary of each kind may be kept as it is', () => {
    for (const kind of VINYL_KIND_NAMES)
      expect(refusal(vinylInput, { ...vinyl(getOrdinaryDetails(kind)), kind })).toBeNull();
  });

  it('may be left out, or said in part', () => {
    expect(refusal(vinylInput, { ...vinyl({}), details: undefined })).toBeNull();
    expect(vinylInput.validateSync({ ...vinyl({}), details: { grade: 'own use' } }).details).toMatchObject({
      grade: 'own use',
    });
  });

  it('an empty field of detail is none', () => {
    expect(vinylInput.validateSync(vinyl({ strokeMm: '', gapMm: 0.7 })).details).toMatchObject({
      strokeMm: null,
      gapMm: 0.7,
    });
  });

  it.each<[object, RegExp]>([
    [{ strokeMm: 40 }, /Thinnest stroke: from 0\.1 to 20/],
    [{ thicknessUm: 3 }, /Thickness: from 20 to 3000/],
    [{ finish: 'fuzzy' }, /Finish: choose one of matt/],
    [{ grade: 'best' }, /Grade: choose/],
    [{ sheetLink: 'javascript:alert(1)' }, /begins with http/],
    [{ sheetLink: 'https://a b' }, /no spaces/],
    [{ pressOn: { cotton: { ...press, highC: 140 } } }, /not below the lowest/],
    [{ pressOn: { cotton: { lowC: 150 } } }, /choose one|Highest temperature/],
    [{ sheetText: 'x'.repeat(9000) }, /at most 8000/],
  ])('%j is refused', (details, reason) => expect(refusal(vinylInput, vinyl(details))).toMatch(reason));

  it('a setting for a fabric nobody knows is left out', () => {
    expect(
      vinylInput.validateSync(vinyl({ pressOn: { cotton: press, moonstone: press } }), { stripUnknown: true }).details!
        .pressOn,
    ).toEqual({ cotton: press });
  });
});

describe('where something can be put on a blank', () => {
  const area = {
    name: 'front',
    sizeName: '',
    datum: 'neckline',
    dropMm: 75,
    widthMm: 280,
    heightMm: 330,
    obstacles: [],
    curve: null,
  };
  const blank = (part: object) => ({
    name: 'Shirt',
    supplier: '',
    fabric: 'cotton',
    heating: 'flat',
    sizes: [{ name: 'M', price: 1 }],
    colours: [{ name: 'white', hex: '#ffffff' }],
    areas: [{ ...area, ...part }],
  });
  it('is kept with its obstacles and its curve, and may be left out', () => {
    expect(
      refusal(
        blankInput,
        blank({
          obstacles: [{ kind: 'zip', xMm: -4, yMm: 0, widthMm: 8, heightMm: 330 }],
          curve: { topMm: 80, bottomMm: 74, handleGapMm: 30 },
        }),
      ),
    ).toBeNull();
    expect(blankInput.validateSync({ ...blank({}), areas: undefined }).areas).toEqual([]);
  });
  it.each<[object, RegExp]>([
    [{ widthMm: 0 }, /Area width/],
    [{ datum: 'moon' }, /Measured from/],
    [{ obstacles: [{ kind: 'lake', xMm: 0, yMm: 0, widthMm: 1, heightMm: 1 }] }, /In the way/],
    [{ curve: { topMm: 2, bottomMm: 80, handleGapMm: 0 } }, /Diameter at the top/],
  ])('%j is refused', (part, reason) => expect(refusal(blankInput, blank(part))).toMatch(reason));
});

describe('offers and supplies by hand', () => {
  const offer = {
    supplierId: 1,
    code: 'A1',
    name: 'Roll',
    price: 100,
    breaks: [],
    takePay: null,
    parts: [{ key: 'vinyl:1', label: '', count: 1, widthMm: 500, lengthMm: 1000 }],
  };
  it.each<[object, RegExp | null]>([
    [{}, null],
    [{ parts: [] }, /at least one thing/],
    [{ parts: [{ ...offer.parts[0], lengthMm: null }] }, /write both, or neither/],
    [{ parts: [{ ...offer.parts[0], key: 'moon:1' }] }, /Thing: choose one/],
    [{ takePay: { take: 2, pay: 2 } }, /fewer than are taken/],
    [{ takePay: { take: 3, pay: 2 } }, null],
    [{ breaks: [{ fromPacks: 1, price: 1 }] }, /From packs: a? ?.*2/],
    [
      {
        breaks: [
          { fromPacks: 3, price: 9 },
          { fromPacks: 3, price: 8 },
        ],
      },
      /each number of packs once/,
    ],
  ])('an offer with %j', (part, reason) => {
    const told = refusal(offerInput, { ...offer, ...part });
    if (reason) expect(told).toMatch(reason);
    else expect(told).toBeNull();
  });

  it('a supply has a kind, a life above nothing, and wear is never negative', () => {
    const supply = {
      name: 'Mat',
      kind: 'mat',
      supplier: '',
      widthMm: 305,
      tack: null,
      angleDegrees: null,
      life: 40,
      note: '',
    };
    expect(refusal(supplyInput, supply)).toBeNull();
    expect(refusal(supplyInput, { ...supply, kind: 'anvil' })).toMatch(/Kind: choose/);
    expect(refusal(supplyInput, { ...supply, life: 0 })).toMatch(/Life: from 1/);
    expect(refusal(wearInput, { kind: 'worn', amount: -1 })).toMatch(/Amount: from 0/);
  });
});
