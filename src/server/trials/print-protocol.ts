// The protocol of a trial side by side, and a sheet to fill in for each candidate.

import type { FormatSettings } from '../../core/units/index';
import { getShop, type ShopContext } from '../context';
import { printInThread } from '../heavy/print-in-thread';
import { pdfResponse } from '../paper/paper';
import { loadSide } from './view-side';

export async function printProtocol(
  shop: ShopContext,
  id: number,
  system: FormatSettings['system'],
): Promise<Response> {
  const side = loadSide(shop, id);
  const { locale, currency, timeZone } = getShop(shop);
  const bytes = await printInThread('printSideProtocol', side, { locale, currency, timeZone, system });
  return pdfResponse(bytes, `${side.name}.pdf`);
}
