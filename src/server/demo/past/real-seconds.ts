// How long work of the demo shop's past really took: what is calculated for it, times how this shop differs, and chance.
// Never times what was learned meanwhile: else the log would confirm itself.

import { countLoads } from '../../../core/costing/index';
import { getWatchedSeconds, listWeedAmounts, WEED_FIGURES } from '../../../core/estimating/index';
import type { Station } from '../../../core/orders/index';
import { groupBy } from '../../../core/units/index';
import { getShop } from '../../context';
import { readMadeLines } from '../../items/materials';
import type { WaitingOrder, WaitingPart } from '../../orders/read-orders';
import { DAY_MS, type Past } from './past';

const MONTH_MS = 30 * DAY_MS;
/** So many times as long, where nobody stopped the clock. */
const FORGOTTEN = { least: 12, most: 20 };

type Work = { readonly order: WaitingOrder; readonly parts: readonly WaitingPart[] };
/** What a piece took at the press or the check when it was first made, by its item: it takes that ever after. */
export type FirstSeconds = Map<string, number>;

export function tellRealSeconds(past: Past, firsts: FirstSeconds, station: Station, work: Work): number {
  const { file, chance, stock } = past;
  const { bench } = file;
  const plain = CALCULATED[station](past, work, firsts);
  // Getting ready takes what it always takes; the work itself now more, now less.
  const setup = station === 'cut' ? sumSetup(work) : 0;
  const isNew = stock.clock.ms < stock.nowMs - file.fromDaysAgo * DAY_MS + MONTH_MS;
  const forgotten = chance.happens(bench.forgottenClock) ? chance.between(FORGOTTEN.least, FORGOTTEN.most) : 1;
  return (setup + plain * (isNew ? bench.firstMonthSlower : 1) * chance.around(bench.spread)) * forgotten;
}

type Calculate = (past: Past, work: Work, firsts: FirstSeconds) => number;

const quotesOf = ({ order }: Work) => new Map(order.order.lines.map(({ id, quote }) => [id, quote]));

function sumSetup(work: Work): number {
  const quotes = quotesOf(work);
  return work.parts.reduce((sum, { lineId }) => {
    const { setupSeconds, layers } = quotes.get(lineId)!;
    return sum + setupSeconds / layers.length;
  }, 0);
}

const sumCut: Calculate = ({ file, stock }, work) => {
  const { figures } = getShop(stock.shop);
  const { loadFactor, watchFactor } = file.bench;
  const quotes = quotesOf(work);
  const loads = [...groupBy(work.parts, (part) => `${part.lineId} ${part.layerIndex}`).values()].map((copies) => {
    const layer = quotes.get(copies[0]!.lineId)!.layers[copies[0]!.layerIndex]!;
    const watched = getWatchedSeconds(copies.length * layer.cutMachineSeconds, figures);
    const count = countLoads(copies.length, layer.onMat ?? 0).value;
    return count * figures.cutterLoadSeconds * loadFactor + watched * watchFactor;
  });
  return loads.reduce((sum, seconds) => sum + seconds, 0);
};

const sumWeed: Calculate = ({ file, stock }, { order, parts }) => {
  const { figures } = getShop(stock.shop);
  const { lines } = readMadeLines(stock.shop, [order]);
  return parts.reduce((sum, { lineId, layerIndex }) => {
    const layer = lines.get(lineId)?.layers[layerIndex];
    if (!layer) return sum;
    const { measurement, vinyl } = layer;
    const own = listWeedAmounts(measurement, vinyl).map(
      (amount, at) => amount * figures[WEED_FIGURES[at]!] * file.bench.weedFactors[at]!,
    );
    return (
      sum + own.reduce((all, seconds) => all + seconds, 0) * vinyl.weedingFactor * file.vinyls[vinyl.name]!.weeding
    );
  }, 0);
};

const sumFirsts =
  (station: 'press' | 'check'): Calculate =>
  ({ file }, { order, parts }, firsts) => {
    const itemOf = new Map(order.order.lines.map(({ id, itemId }) => [id, itemId]));
    return parts.reduce((sum, part) => {
      const key = `${station} ${itemOf.get(part.lineId)} ${part.layerIndex}`;
      const first = firsts.get(key) ?? part.estimates[station];
      firsts.set(key, first);
      return sum + first * file.bench[station];
    }, 0);
  };

const CALCULATED: Readonly<Record<Station, Calculate>> = {
  cut: sumCut,
  weed: sumWeed,
  press: sumFirsts('press'),
  check: sumFirsts('check'),
};
