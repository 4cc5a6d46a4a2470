// The stock as a table for a spreadsheet: a line a lot.

import { writeCsv } from '../../core/buying';
import { dayOf, printMajor, type FormatSettings } from '../../core/units';
import type { FullStock } from '../../views/stock';

/** Lengths in mm; money in whole units of the currency; days of the shop's own calendar. */
export function writeStockCsv(
  stock: FullStock,
  { currency, timeZone }: Pick<FormatSettings, 'currency' | 'timeZone'>,
): string {
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
        dayOf(lot.receivedAtMs, timeZone),
        lot.supplier,
        printMajor(lot.value.value, currency),
        lot.remark,
      ]),
    ),
  );
}
