// The books' hours: what was worked in each month, and what was spoiled for which reason.

import { listSpoilage, sumByCause, tellHours, type HoursWorked, type SpoilageByCause } from '../../core/orders/index';
import { listMonths, toBareFigure, type Figure, type Month } from '../../core/units/index';
import { countChecked, loadSpoiledLines, sumWork, type Span } from '../../data/hours-store';
import { HOURS_SPANS, type HoursSpan, type HoursView } from '../../views/hours';
import { CAUSE_NAMES } from '../../wording/stations';
import { getShop, type ShopContext } from '../context';
import { notFound } from '../errors';
import { rememberUntilChange } from '../remember';

const USUAL_SPAN: HoursSpan = 3;

export const readHoursSpan = (params: URLSearchParams): HoursSpan =>
  HOURS_SPANS.find((span) => String(span) === params.get('months')) ?? USUAL_SPAN;

export function loadHours(shop: ShopContext, span: HoursSpan = USUAL_SPAN): HoursView {
  const { months, whole, spoilage } = readBooks(shop, span);
  return {
    span,
    months: months.filter(({ all, pieces }) => all.value > 0 || pieces > 0).map(toBareHours),
    whole: toBareHours(whole),
    spoilage: { causes: spoilage.causes.map(toBareLoss), whole: toBareLoss(spoilage.whole) },
  };
}

/** `of`: a month, the whole span, or a cause; `each` asks what a piece took. @throws ShopError where there is none */
export function explainHours(shop: ShopContext, params: URLSearchParams): Figure {
  const { months, whole, spoilage } = readBooks(shop, readHoursSpan(params));
  const of = params.get('of');
  if (of === 'lost') return spoilage.whole.lost;
  const hours = of === 'whole' ? whole : months.find(({ month }) => month === of);
  const found = hours
    ? params.has('each')
      ? hours.each
      : hours.all
    : spoilage.causes.find(({ cause }) => cause === of)?.lost;
  if (!found) throw notFound('This figure');
  return found;
}

type Books = {
  readonly months: readonly (HoursWorked & { readonly month: string })[];
  readonly whole: HoursWorked;
  readonly spoilage: SpoilageByCause;
};

/** Read once for each month that begins and each change of the file. */
function readBooks(shop: ShopContext, span: HoursSpan): Books {
  const months = listMonths(shop.now(), getShop(shop).timeZone, span);
  return rememberUntilChange(shop, `hours ${months[0]!.fromMs} ${span}`, () => calculateBooks(shop, months));
}

function calculateBooks({ db }: ShopContext, months: readonly Month[]): Books {
  const whole: Span = { fromMs: months.at(-1)!.fromMs, untilMs: months[0]!.untilMs };
  const tell = (span: Span) => tellHours(sumWork(db, span), countChecked(db, span));
  const spoilage = listSpoilage(loadSpoiledLines(db, whole)).filter(
    ({ atMs }) => atMs >= whole.fromMs && atMs < whole.untilMs,
  );
  return {
    months: months.map((month) => ({ ...tell(month), month: month.month })),
    whole: tell(whole),
    spoilage: sumByCause(spoilage, CAUSE_NAMES),
  };
}

const toBareHours = <Hours extends HoursWorked>(hours: Hours): Hours => ({
  ...hours,
  all: toBareFigure(hours.all),
  each: hours.each && toBareFigure(hours.each),
});

const toBareLoss = <Loss extends { readonly lost: Figure }>(loss: Loss): Loss => ({
  ...loss,
  lost: toBareFigure(loss.lost),
});
