// What the item comes to as it is typed: its cost, its layers, and what changed since its cost was accepted.

import { useEffect, useMemo, useState } from 'react';
import { useWatch, type UseFormReturn } from 'react-hook-form';
import { checkMade, explainChange, getUsualVariant, listMadeLayers, resolveVariant } from '../../core/costing';
import type { ShopFigures } from '../../core/materials';
import { priceForMargin } from '../../core/pricing';
import type { ItemEditorView } from '../../views/items';
import { describeMadeFinding } from '../../wording/made-findings';
import { useSettings, type Settings } from '../shared/settings';
import { calculateItem, type Calculation } from './calculate-item';
import { startValues, toMaterials, toPlan, type ItemForm } from './item-form';

export function useItemCalculation(view: ItemEditorView, form: UseFormReturn<ItemForm>) {
  const settings = useSettings();
  const values = useWatch({ control: form.control }) as ItemForm;
  /** Options that are looked at, by their place in the item. */
  const [options, setOptions] = useState<readonly number[]>([]);
  const blank = view.shelf.blanks.find((candidate) => candidate.id === Number(values.blankId));
  const plan = useMemo(() => toPlan(values), [values]);
  const materials = useMemo(() => toMaterials(view), [view]);
  const variant = useMemo(
    () => ({ ...getUsualVariant(plan), options: options.filter((at) => plan.details.options[at]) }),
    [plan, options],
  );
  const input = useMemo(
    () => ({
      plan,
      variant,
      quantity: Number(values.quantity),
      blank,
      materials,
      evidence: view.evidence,
      figures: settings.shop.figures,
      settings,
      vinyls: view.shelf.vinyls,
    }),
    [plan, variant, values.quantity, blank, materials, view.evidence, view.shelf.vinyls, settings],
  );
  const calculation = useMemo(() => calculateItem(input), [input]);
  useProposedPrice(form, view.item === null, calculation, settings.shop.figures);
  const layers = useMemo(
    () => listMadeLayers(resolveVariant(plan, variant), materials, plan.quantity),
    [plan, variant, materials],
  );
  const findings = useMemo(
    () =>
      blank
        ? checkMade({ made: resolveVariant(plan, variant), materials, blank, shop: settings.shop.figures }).map(
            (finding) => describeMadeFinding(finding, settings),
          )
        : [],
    [plan, variant, materials, blank, settings],
  );
  const isAsSaved = !form.formState.isDirty && options.length === 0;
  const change = useMemo(
    () =>
      calculation.ok && view.item?.acceptedCost && isAsSaved
        ? explainChange(view.item.acceptedCost, calculation.cost)
        : null,
    [calculation, view.item, isAsSaved],
  );
  return { values, blank, plan, input, calculation, findings, layers, change, options, setOptions };
}

/** Null where no cost can be told, or no price reaches the margin. */
function proposePrice(calculation: Calculation, figures: ShopFigures): number | null {
  const proposed = calculation.ok ? priceForMargin(figures.marginGoal, calculation.cost, figures) : null;
  return proposed?.ok ? proposed.value.value : null;
}

/** What the form begins with; a new item with the price that is proposed for it. */
export function startItem(view: ItemEditorView, settings: Settings): ItemForm {
  const start = startValues(view);
  if (view.item) return start;
  const plan = toPlan(start);
  const { figures } = settings.shop;
  const calculation = calculateItem({
    plan,
    variant: getUsualVariant(plan),
    quantity: start.quantity,
    blank: view.shelf.blanks.find((candidate) => candidate.id === start.blankId),
    materials: toMaterials(view),
    evidence: view.evidence,
    figures,
    settings,
  });
  return { ...start, price: proposePrice(calculation, figures) ?? start.price };
}

/** A new item asks what the margin that is aimed for proposes, until somebody writes or drags another price. */
function useProposedPrice(
  form: UseFormReturn<ItemForm>,
  isNew: boolean,
  calculation: Calculation,
  figures: ShopFigures,
): void {
  const { isDirty } = form.getFieldState('price', form.formState);
  const price = isNew && !isDirty ? proposePrice(calculation, figures) : null;
  useEffect(() => {
    if (price !== null) form.resetField('price', { defaultValue: price });
  }, [form, price]);
}
