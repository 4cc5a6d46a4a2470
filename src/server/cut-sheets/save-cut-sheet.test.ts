import { expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { cutSheetInput } from '../../core/input/index';
import { NO_MARKS } from '../../core/nesting/index';
import { keyOf, rectangle } from '../../core/stock/index';
import { cutLoad } from './cut-load';
import { parseInput } from '../errors';
import { changeCutSheet, dropCutSheet, saveCutSheet } from './save-cut-sheet';
import { receiveLot, setAsideOffcut } from '../stock/save-stock';
import { loadCutSheets } from './load-cut-sheets';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const group = () => loadCutSheets(shop).groups.find((one) => one.vinyl.name === 'Quay Hold, black')!;

/** A sheet with some of the waiting labels on one lot; measures as a layout would give them. */
function sheetOn(lotId: number, from: number, to: number, usedLengthMm = 100) {
  const { vinyl, parts, stock } = group(),
    own = parts.slice(from, to),
    lot = stock.find((one) => one.lotId === lotId)!;
  return parseInput(cutSheetInput, {
    vinylId: vinyl.id,
    sheet: {
      gapMm: 6,
      hold: 'suited',
      inside: 'holes',
      marks: NO_MARKS,
      lots: [{ lotId, form: lot.form, widthMm: lot.widthMm, lengthMm: lot.lengthMm }],
      pieces: [
        {
          id: 'a',
          name: 'label',
          source: { artworkId: own[0]!.artworkId, layerIndex: 0, widthMm: 72, mirrored: false },
          island: null,
          partIds: own.map((part) => part.partId),
        },
      ],
      placements: own.map((_, copy) => ({
        pieceId: 'a',
        copy,
        sheet: 0,
        xMm: 20 + copy * 80,
        yMm: 20,
        rotationDeg: 0,
      })),
      locked: ['0 a'],
      sheets: [
        {
          sheet: 0,
          lotId,
          stockId: String(lotId),
          usedLengthMm,
          usedMm2: usedLengthMm * lot.widthMm,
          piecesMm2: 1000,
          density: 0.3,
        },
      ],
    },
  });
}
const rollOf = () => group().stock.find((lot) => lot.form === 'roll')!;
const offcut = () =>
  setAsideOffcut(shop, rollOf().lotId, {
    widthMm: 200,
    lengthMm: 180,
    takesMm: 180,
    cornerWidthMm: 0,
    cornerLengthMm: 0,
    remark: '',
  });

it('a load is saved with every change of it, and is there again after a reload', () => {
  const saved = saveCutSheet(shop, sheetOn(rollOf().lotId, 0, 3));
  expect(changeCutSheet(shop, saved.id, saved.version, sheetOn(rollOf().lotId, 0, 4))).toEqual({
    id: saved.id,
    version: 2,
  });
  const [found] = group().saved;
  expect([found!.id, found!.version, found!.sheet.placements.length, found!.sheet.locked]).toEqual([
    saved.id,
    2,
    4,
    ['0 a'],
  ]);
  dropCutSheet(shop, saved.id);
  expect(group().saved).toEqual([]);
});

it('two windows: the second save of one sheet is told, and nothing is lost of the first', async () => {
  const saved = saveCutSheet(shop, sheetOn(rollOf().lotId, 0, 3));
  changeCutSheet(shop, saved.id, 1, sheetOn(rollOf().lotId, 0, 5));
  expect((await refusalOf(() => changeCutSheet(shop, saved.id, 1, sheetOn(rollOf().lotId, 0, 2)))).code).toBe('stale');
  expect(group().saved[0]!.sheet.placements).toHaveLength(5);
});

it('of two sheets that lay claim to one offcut the second is told whose it is', async () => {
  const { id, code } = offcut();
  saveCutSheet(shop, sheetOn(id, 0, 1));
  const refusal = await refusalOf(() => saveCutSheet(shop, sheetOn(id, 1, 2)));
  expect([refusal.code, refusal.message]).toEqual([
    'conflict',
    expect.stringMatching(
      new RegExp(`Offcut ${code} is taken by the cut sheet of 1 part saved at .*discard that sheet`),
    ),
  ]);
});

it('a part lies on one sheet only; a roll is not given away twice; single sheets are counted', async () => {
  const roll = rollOf();
  saveCutSheet(shop, sheetOn(roll.lotId, 0, 2, roll.left - 150));
  expect((await refusalOf(() => saveCutSheet(shop, sheetOn(roll.lotId, 1, 3)))).message).toMatch(
    /Piece 2 of Seed-tin labels lies on the cut sheet of 2 parts/,
  );
  expect((await refusalOf(() => saveCutSheet(shop, sheetOn(roll.lotId, 2, 3, 200)))).message).toMatch(
    /150 mm are free beside the cut sheet .* takes 200 mm/,
  );
  expect(saveCutSheet(shop, sheetOn(roll.lotId, 2, 3, 140)).version).toBe(1);
  const { id: lotId } = receiveLot(shop, {
    key: keyOf({ kind: 'vinyl', vinylId: group().vinyl.id }),
    form: 'sheet',
    widthMm: 300,
    lengthMm: 400,
    quantity: 1,
    price: 400,
    remark: '',
  });
  saveCutSheet(shop, sheetOn(lotId, 4, 5));
  expect((await refusalOf(() => saveCutSheet(shop, sheetOn(lotId, 5, 6)))).message).toMatch(/is taken by/);
});

it('what was cut meanwhile can’t be laid out any more, and cutting a saved sheet takes it off the list', async () => {
  const sheet = sheetOn(rollOf().lotId, 0, 2),
    saved = saveCutSheet(shop, sheet);
  cutLoad(shop, {
    sheetId: saved.id,
    sheets: [
      {
        lotId: rollOf().lotId,
        usedLengthMm: 100,
        leftovers: [],
        spareMm2: 0,
        islands: [],
        parts: sheet.sheet.pieces[0]!.partIds.map((partId) => ({ partId: partId!, areaMm2: 100 })),
      },
    ],
  });
  expect(group().saved).toEqual([]);
  expect((await refusalOf(() => saveCutSheet(shop, sheet))).message).toMatch(/does not wait to be cut any more/);
});

it('more than was ordered bears its own share; an odd leftover keeps its shape', () => {
  const { id } = offcut(),
    sheet = sheetOn(id, 0, 1),
    [partId] = sheet.sheet.pieces[0]!.partIds;
  const before = group().stock.find((lot) => lot.lotId === id)!;
  const ell = [
    { x: 0, y: 90 },
    { x: 100, y: 90 },
    { x: 100, y: 0 },
    { x: 200, y: 0 },
    { x: 200, y: 180 },
    { x: 0, y: 180 },
  ];
  const { offcuts } = cutLoad(shop, {
    sheetId: null,
    sheets: [
      {
        lotId: id,
        usedLengthMm: 90,
        leftovers: [ell],
        spareMm2: 3000,
        islands: [],
        parts: [{ partId: partId!, areaMm2: 1000 }],
      },
    ],
  });
  const leftover = group().stock.find((lot) => lot.code === offcuts[0])!;
  expect([before.form, leftover.widthMm, leftover.lengthMm, leftover.shape]).toEqual(['offcut', 200, 180, ell]);
  expect(rectangle(200, 180)).not.toEqual(leftover.shape);
});
