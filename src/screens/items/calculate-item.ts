// From what stands in the form to the cost, the reading of its price, and the verdict in one sentence.

import { getWornLayers, WIDTH_RANGE_MM } from '../../core/artwork';
import {
  computeItemCost,
  resolveVariant,
  toItemSpec,
  type CostProblem,
  type ItemCost,
  type ItemEvidence,
  type ItemMaterials,
  type ItemPlan,
  type ItemSpec,
  type Variant,
} from '../../core/costing';
import type { Blank, ShopFigures, Vinyl } from '../../core/materials';
import { listFittingVinyls, type PressProblem } from '../../core/pressing';
import { readPrice, type PriceReading } from '../../core/pricing';
import { formatFigure, formatMoney, formatShare, minor, type Minor } from '../../core/units';
import { describeCostProblem } from '../../wording/problems';
import type { Settings } from '../shared/settings';

export type Calculation =
  | {
      readonly ok: true;
      readonly spec: ItemSpec;
      readonly cost: ItemCost;
      readonly price: Minor;
      readonly reading: PriceReading;
      readonly verdict: string;
    }
  | {
      readonly ok: false;
      readonly problem: string;
      /** Left out where not even that can be told. */
      readonly spec?: ItemSpec;
    };
export type CalculateInput = {
  readonly plan: ItemPlan;
  readonly variant: Variant;
  readonly quantity: number;
  readonly blank: Blank | undefined;
  readonly materials: ItemMaterials;
  readonly evidence: ItemEvidence;
  readonly figures: ShopFigures;
  readonly settings: Settings;
  /** Those that could take the place of one that does not fit. */
  readonly vinyls?: readonly Vinyl[];
};

/** What stands in the field need not be a number yet. */
const isWidth = (typed: unknown): boolean =>
  Number(typed) >= WIDTH_RANGE_MM.least && Number(typed) <= WIDTH_RANGE_MM.most;

export function calculateItem({
  plan,
  variant,
  quantity,
  blank,
  materials,
  evidence,
  figures,
  settings,
  vinyls = [],
}: CalculateInput): Calculation {
  if (!blank) return { ok: false, problem: 'Choose a blank.' };
  if (!Number.isInteger(quantity) || quantity < 1) return { ok: false, problem: 'Quantity: a whole number from 1.' };
  const made = resolveVariant(plan, variant);
  for (const [at, placement] of made.placements.entries()) {
    const artwork = materials.artwork(placement.artworkId);
    const where = made.placements.length > 1 ? ` for ${placement.place || `placement ${at + 1}`}` : '';
    if (!artwork) return { ok: false, problem: `Choose an artwork${where}.` };
    if (!isWidth(placement.widthMm)) return { ok: false, problem: `Width${where}: from 3 to 3000 mm.` };
    if (getWornLayers(artwork.measurement).some((_, index) => !materials.vinyl(placement.vinylIds[index] ?? -1)))
      return { ok: false, problem: `Choose a vinyl for each layer${where}.` };
  }
  const spec = toItemSpec({ plan, made, blank, materials, evidence });
  const cost = computeItemCost(spec, quantity, figures);
  if (!cost.ok) return { ok: false, problem: describeProblem(cost.problem, { spec, vinyls, settings }), spec };
  const price = minor(made.price);
  const reading = readPrice(price, cost.value, figures);
  return { ok: true, spec, cost: cost.value, price, reading, verdict: describe(cost.value, reading, price, settings) };
}

type ProblemFacts = Pick<CalculateInput, 'settings'> & { readonly spec: ItemSpec; readonly vinyls: readonly Vinyl[] };
/** Named at most: more is a list to look through, and there is one. */
const MOST_NAMED = 3;

/** With the vinyls that would do, where it is the heat that does not fit. */
function describeProblem(problem: CostProblem, { spec, vinyls, settings }: ProblemFacts): string {
  const words = describeCostProblem(problem, settings);
  if (!isPressProblem(problem)) return words;
  const fitting = listFittingVinyls(problem, { layers: spec.layers, blank: spec.blank, vinyls });
  const names = fitting.slice(0, MOST_NAMED).map(({ name }) => name);
  return names.length > 0 ? `${words} On your shelf ${names.join(' or ')} would do.` : words;
}

const isPressProblem = (problem: CostProblem): problem is PressProblem =>
  problem.kind === 'no-safe-window' || problem.kind === 'windows-apart' || problem.kind === 'blank-takes-no-heat';

function describe(cost: ItemCost, reading: PriceReading, price: number, settings: Settings): string {
  const costs = `One of ${cost.quantity} costs you ${formatMoney(cost.withRisk.value, settings)} with your hours and what goes wrong.`;
  if (price === 0 || !reading.margin) return `${costs} Drag the price along the rule to see what it leaves.`;
  if (reading.yours.value < 0)
    return `${costs} At ${formatMoney(price, settings)} you pay ${formatMoney(-reading.yours.value, settings)} to make it.`;
  return `${costs} At ${formatMoney(price, settings)} you keep ${formatShare(reading.margin.value, settings, 0)}${reading.hourEarns ? `, and an hour earns ${formatFigure(reading.hourEarns, settings).replace(' / h', '')}` : ''}.`;
}
