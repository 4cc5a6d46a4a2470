// The stock as a table for a spreadsheet: a line a lot.

import { writeCsv } from '../../core/buying';
import { getMoneyDigits } from '../../core/units';
import type { FullStock } from '../../views/stock';

/** Lengths in mm; money in whole units of the currency. */
export function writeStockCsv(stock: FullStock, currency: string): string {
  const digits = getMoneyDigits(currency);
  const money = (minor: number) => (minor / 10 ** digits).toFixed(digits);
  const day = (ms: number) => new Date(ms).toISOString().slice(0, 10);
  return writeCsv(
    [
      'thing',
      'kind',
      'form',
      'width mm',
      'length mm',
      'left',
      'code',
      'received',
      'supplier',
      `worth ${currency}`,
      'remark',
    ],
    stock.rows.flatMap((row) =>
      row.lots.map((lot) => [
        row.thing.name,
        row.thing.kind,
        lot.form,
        lot.widthMm ?? '',
        lot.form === 'roll' ? lot.left : (lot.lengthMm ?? ''),
        lot.form === 'roll' ? 1 : lot.left,
        lot.code ?? '',
        day(lot.receivedAtMs),
        lot.supplier,
        money(lot.value.value),
        lot.remark,
      ]),
    ),
  );
}
