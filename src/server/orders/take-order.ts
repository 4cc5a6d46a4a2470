// An order as it is about to be taken: what its lines cost, what they ask, the first day it can be ready; then taken.

import type { InferType } from 'yup';
import type { orderInput } from '../../core/input/index';
import { sumOrder } from '../../core/orders/index';
import { dayOf } from '../../core/units/index';
import type { OrderAnswer } from '../../views/orders';
import { describeCostProblem } from '../../wording/problems';
import { getSettings, getShop, type ShopContext } from '../context';
import { ShopError } from '../errors';
import { findInTheWay } from '../items/find-in-the-way';
import type { Materials } from '../items/materials';
import { costOrder, type WishedLine } from './cost-order';
import { describeFitProblem, describeUnwritten } from '../../wording/lettering';
import { findMissing } from './find-missing';
import { listUnwritten, type TextProblem } from './line-texts';
import { findPromise } from './find-promise';
import { placeOrder } from './save-order';

/** What the lines come to as they stand. @throws ShopError for an item, a colour or an option that is not there. */
export function askOrder(
  shop: ShopContext,
  { lines }: { readonly lines: readonly WishedLine[] },
  textProblems: readonly TextProblem[] = [],
): OrderAnswer {
  const settings = getSettings(shop);
  const { costed, ready, toBuy, materials } = planOrder(shop, lines);
  return {
    ...sumOrder(costed.map(({ line, cost }) => ({ quantity: line.quantity, cost }))),
    problems: [
      ...textProblems.map(({ line, wish, problem }) => ({
        line,
        itemName: costed[line]!.item.name,
        words: `${wish.lettering.label} “${wish.text}”: ${describeFitProblem(problem)}`,
      })),
      ...costed.flatMap(({ item, cost }, index) =>
        cost.ok ? [] : [{ line: index, itemName: item.name, words: describeCostProblem(cost.problem, settings) }],
      ),
    ],
    findings: sayStrongest(shop, costed, materials),
    ready,
    toBuy,
  };
}

/** Of each item the strongest finding, once. */
function sayStrongest(
  shop: ShopContext,
  costed: ReturnType<typeof planOrder>['costed'],
  materials: Materials,
): OrderAnswer['findings'] {
  const strongest = new Map(
    costed.flatMap(({ item, line, cost }) => {
      const unwritten = listUnwritten(item, line);
      const [first] = unwritten.length > 0 ? [describeUnwritten(unwritten)] : findInTheWay(shop, cost.made, materials);
      return first ? [[item.id, { itemName: item.name, what: first.what, todo: first.todo }] as const] : [];
    }),
  );
  return [...strongest.values()];
}

/**
 * Takes the order. A day that is past, or before the first on which it can be ready, is taken only where that was
 * accepted. @throws ShopError saying the earliest day.
 */
export function takeOrder(shop: ShopContext, input: InferType<typeof orderInput>): { id: number } {
  const { earlyAccepted, ...order } = input;
  // A wish promises nothing yet.
  if (!earlyAccepted && order.as === 'placed') refuseEarlyDay(shop, order);
  return placeOrder(shop, order);
}

function refuseEarlyDay(shop: ShopContext, { dueDay, lines }: Pick<InferType<typeof orderInput>, 'dueDay' | 'lines'>) {
  const { locale, timeZone } = getShop(shop);
  const earliest = planOrder(shop, lines).ready?.day ?? null;
  const isPast = dueDay < dayOf(shop.now(), timeZone);
  if (!isPast && (earliest === null || dueDay >= earliest)) return;
  throw new ShopError('conflict', { reason: isPast ? 'due-past' : 'due-too-early', earliest, locale }, 'dueDay');
}

function planOrder(shop: ShopContext, wished: readonly WishedLine[]) {
  const { lines, materials } = costOrder(shop, wished);
  const pieces = lines.map(({ line, cost }) => ({ made: cost.made, quantity: line.quantity }));
  const toBuy = findMissing(shop, pieces, materials);
  const ownSeconds = lines.reduce(
    (sum, { line, cost }) => sum + (cost.ok ? cost.value.handsSeconds.value * line.quantity : 0),
    0,
  );
  return { costed: lines, materials, toBuy, ready: findPromise(shop, ownSeconds, toBuy) };
}
