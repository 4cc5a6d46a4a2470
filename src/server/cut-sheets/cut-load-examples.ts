// Examples that several tests share.

import type { TestShop } from '../../../test/demo-shop';
import { priceAllItems } from '../../../test/price-all';
import { cutSheetInput } from '../../core/input/index';
import { NO_MARKS } from '../../core/nesting/index';
import type { Hold } from '../../core/orders/index';
import { rectangle } from '../../core/stock';
import { parseInput } from '../errors';
import { placeOrder } from '../orders/save-order';
import { loadCutSheets } from './load-cut-sheets';

/** What is left across the whole width behind `usedMm`. */
export const behind = (widthMm: number, usedMm: number, lengthMm: number) =>
  rectangle(widthMm, lengthMm).map((point) => ({ x: point.x, y: point.y + usedMm }));

export const SLATE = 'Tarn Smooth, slate';

/** What waits of a vinyl, and the stock for it. */
export const groupOf = (shop: TestShop, name: string) =>
  loadCutSheets(shop).groups.find((group) => group.vinyl.name === name)!;

/** An order of coats, one part of slate each; its id. */
export function orderCoats(shop: TestShop, quantity = 2): number {
  const item = priceAllItems(shop).find((row) => row.item.name === 'Lab coat, club mark')!.item;
  return placeOrder(shop, {
    title: 'Club coats',
    customerName: 'Ansel Thrush',
    contact: '',
    dueDay: '2026-11-26',
    agreed: 9000,
    note: '',
    lines: [{ itemId: item.id, quantity, sizeName: 'M', colourName: 'white' }],
  }).id;
}

/** The parts of an order that wait to be cut from a vinyl. */
export const waiting = (shop: TestShop, orderId: number, name = SLATE) =>
  groupOf(shop, name).parts.filter((part) => part.orderId === orderId);

export const LABEL_BLACK = 'Quay Hold, black';

/** Two labels side by side, `acrossMm` apart; what the page says of the strip is nonsense, and must not matter. */
export function layTwoLabels(
  shop: TestShop,
  lotId: number,
  { acrossMm = 90, hold = 'suited' }: { readonly acrossMm?: number; readonly hold?: Hold } = {},
) {
  const { vinyl, parts, stock } = groupOf(shop, LABEL_BLACK);
  const lot = stock.find((one) => one.lotId === lotId) ?? { form: 'roll', widthMm: 500, lengthMm: null };
  const own = parts.slice(0, 2);
  const { artworkId, layerIndex, widthMm, mirrored } = own[0]!;
  return parseInput(cutSheetInput, {
    vinylId: vinyl.id,
    sheet: {
      gapMm: 6,
      hold,
      inside: 'bays',
      marks: NO_MARKS,
      lots: [{ lotId, form: lot.form, widthMm: lot.widthMm, lengthMm: lot.lengthMm ?? 900 }],
      pieces: [
        {
          id: 'label',
          name: 'label',
          source: { artworkId, layerIndex, widthMm, mirrored },
          island: null,
          partIds: own.map((part) => part.partId),
        },
      ],
      placements: own.map((_, copy) => ({
        pieceId: 'label',
        copy,
        sheet: 0,
        xMm: 20 + copy * acrossMm,
        yMm: 20,
        rotationDeg: 0,
      })),
      locked: [],
      sheets: [{ sheet: 0, lotId, stockId: String(lotId), usedLengthMm: 1, usedMm2: 1, piecesMm2: 1, density: 0 }],
    },
  });
}
