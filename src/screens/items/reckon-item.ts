// From what stands in the form to the cost, the reading of its price, and the verdict in one sentence.

import { getWornLayers, scaleMeasurement } from '../../core/artwork';
import { computeItemCost, type ArtworkCost, type ItemCost, type ItemSpec } from '../../core/costing';
import { widthMm as widthSchema } from '../../core/input';
import type { ShopFigures } from '../../core/materials';
import { readPrice, type PriceReading } from '../../core/pricing';
import { formatFigure, formatMoney, formatShare, minor } from '../../core/units';
import type { ArtworkView, BlankView, VinylView } from '../../views/views';
import { describeCostProblem } from '../../wording/problems';
import type { Settings } from '../shared/settings';
import type { ItemForm } from './ItemFields';

export type Reckoning = { readonly ok: true; readonly spec: ItemSpec; readonly cost: ItemCost; readonly reading: PriceReading; readonly verdict: string } | { readonly ok: false; readonly problem: string };

export function reckonItem(input: { values: ItemForm; artwork: ArtworkView | undefined; blank: BlankView | undefined; vinyls: readonly (VinylView | undefined)[]; figures: ShopFigures; settings: Settings }): Reckoning {
  const { values, artwork, blank, vinyls, figures, settings } = input;
  const quantity = Number(values.quantity);
  if (!artwork || !blank) return { ok: false, problem: 'Choose a blank and an artwork.' };
  if (!widthSchema.isValidSync(values.widthMm)) return { ok: false, problem: 'Width: from 3 to 3000 mm.' };
  if (!Number.isInteger(quantity) || quantity < 1) return { ok: false, problem: 'Quantity: a whole number from 1.' };
  const measured = scaleMeasurement(artwork.measurement, Number(values.widthMm));
  const worn = getWornLayers(measured);
  const layers = worn.flatMap((measurement, index) => {
    const vinyl = vinyls[index];
    return vinyl ? [{ measurement, vinyl }] : [];
  });
  if (layers.length < worn.length) return { ok: false, problem: 'Choose a vinyl for each layer.' };
  const spec: ItemSpec = { blank, sizeName: values.sizeName, layers, areaBasis: values.areaBasis, artwork: readArtworkCost(values) };
  const cost = computeItemCost(spec, quantity, figures);
  if (!cost.ok) return { ok: false, problem: describeCostProblem(cost.problem, settings) };
  const price = minor(Number.isSafeInteger(values.price) && values.price >= 0 ? values.price : 0);
  const reading = readPrice(price, cost.value, figures);
  return { ok: true, spec, cost: cost.value, reading, verdict: describe(cost.value, reading, price, settings) };
}

/** What is no number yet counts for nothing. */
function readArtworkCost({ artworkPrice, artworkRun }: ItemForm): ArtworkCost {
  return { price: minor(Number.isSafeInteger(artworkPrice) && artworkPrice > 0 ? artworkPrice : 0), run: Number.isInteger(Number(artworkRun)) && Number(artworkRun) >= 1 ? Number(artworkRun) : 1 };
}

function describe(cost: ItemCost, reading: PriceReading, price: number, settings: Settings): string {
  const costs = `One of ${cost.quantity} costs you ${formatMoney(cost.withRisk.value, settings)} with your hours and what goes wrong.`;
  if (price === 0 || !reading.margin) return `${costs} Drag the price along the rule to see what it leaves.`;
  if (reading.yours.value < 0) return `${costs} At ${formatMoney(price, settings)} you pay ${formatMoney(-reading.yours.value, settings)} to make it.`;
  return `${costs} At ${formatMoney(price, settings)} you keep ${formatShare(reading.margin.value, settings, 0)}${reading.hourEarns ? `, and an hour earns ${formatFigure(reading.hourEarns, settings).replace(' / h', '')}` : ''}.`;
}
