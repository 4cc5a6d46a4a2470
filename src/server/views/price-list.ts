// The price list: all items by all channels.

import { writeCsv } from '../../core/buying';
import type { ShopFigures } from '../../core/materials';
import { priceOnChannel, readPrice, type ChannelGoal } from '../../core/pricing';
import { formatMoney, getMoneyDigits, type FormatSettings } from '../../core/units';
import { loadChannels } from '../../data/channel-store';
import { loadItems } from '../../data/item-store';
import type { PriceGoal, PriceListView } from '../../views/views';
import { describeCostProblem } from '../../wording/problems';
import { getShop, type ShopContext } from '../context';
import { printPaper } from '../paper/paper';
import { drawHeading, drawTable } from '../paper/paper-table';
import { loadMaterials, priceItem } from '../price-item';

const toGoal = (goal: PriceGoal, figures: ShopFigures): ChannelGoal => ({ wage: { kind: 'wage', perHour: figures.wageGoalPerHour } as const, margin: { kind: 'margin', share: figures.marginGoal } as const, floor: { kind: 'floor' } as const })[goal];

export function loadPriceList(shop: ShopContext, goal: PriceGoal): PriceListView {
  const { figures, ...identity } = getShop(shop);
  const items = loadItems(shop.db), channels = loadChannels(shop.db);
  const materials = loadMaterials(shop, items);
  const settings = { locale: identity.locale, currency: identity.currency, timeZone: identity.timeZone, system: 'metric' as const };
  return {
    goal, channels,
    rows: items.map((item) => {
      const cost = priceItem({ item, sizeName: item.sizeName, quantity: item.quantity, materials, figures });
      const row = { item, blankName: materials.blanks.get(item.blankId)?.name ?? '' };
      if (!cost.ok) return { ...row, cost: null, hourEarns: null, asks: channels.map(() => null), problem: describeCostProblem(cost.problem, settings) };
      const asks = channels.map((channel) => {
        const price = priceOnChannel(toGoal(goal, figures), cost.value, channel);
        return price.ok ? price.value : null;
      });
      return { ...row, cost: cost.value.withRisk, hourEarns: readPrice(item.price, cost.value, figures).hourEarns, asks, problem: null };
    }),
  };
}

export function writePriceListCsv(list: PriceListView, currency: string): string {
  const digits = getMoneyDigits(currency);
  const money = (value: number | undefined) => (value === undefined ? '' : (value / 10 ** digits).toFixed(digits));
  return writeCsv(['item', 'blank', 'size', 'made at once', `cost ${currency}`, `price ${currency}`, ...list.channels.map((channel) => `${channel.name} ${currency}`)], list.rows.map((row) => [row.item.name, row.blankName, row.item.sizeName, row.item.quantity, money(row.cost?.value), money(row.item.price), ...row.asks.map((ask) => money(ask?.value))]));
}

/** For customers: what is asked where, and nothing of what it costs. */
export function printPriceList(list: PriceListView, shopName: string, nowMs: number, settings: FormatSettings): Promise<Uint8Array<ArrayBuffer>> {
  return printPaper('Price list', settings.locale, (paper) => {
    paper.addPage();
    drawHeading(paper, 'Price list', `${shopName}, ${new Intl.DateTimeFormat(settings.locale, { dateStyle: 'long', timeZone: settings.timeZone }).format(nowMs)}`);
    const share = 0.6 / Math.max(1, list.channels.length);
    drawTable(paper, [{ share: 0.4 }, ...list.channels.map(() => ({ share, right: true }))], [
      { cells: ['', ...list.channels.map((channel) => channel.name)], strong: true }, ...list.rows.map((row) => ({ cells: [`${row.item.name}, ${row.item.sizeName}`, ...row.asks.map((ask) => (ask ? formatMoney(ask.value, settings) : ''))] })),
    ]);
  });
}
