// The press card: every recipe of the shop on a sheet to hang beside the press.

import type { FormatSettings } from '../../core/units/index';
import { getShop, type ShopContext } from '../context';
import { printInThread } from '../heavy/print-in-thread';
import { pdfResponse } from '../paper/paper';
import { loadRecipes } from './recipes';

export async function printRecipes(shop: ShopContext, system: FormatSettings['system']): Promise<Response> {
  const { name, locale, currency, timeZone } = getShop(shop);
  const { rows, presets, today } = loadRecipes(shop);
  const facts = { shopName: name, rows, presets, today };
  const bytes = await printInThread('printPressCard', facts, { locale, currency, timeZone, system });
  return pdfResponse(bytes, 'press card.pdf');
}
