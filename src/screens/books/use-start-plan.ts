// The plan to begin while it is worked on: its kit, what is sold, and when it has come back, if it goes slowly or well.

import { useMemo, useState } from 'react';
import {
  addOneSale,
  addUpKit,
  bendContribution,
  chooseKit,
  computeBreakEven,
  computeContribution,
  isTooNarrow,
  SCENARIOS,
  type MixItem,
  type StartPlan,
} from '../../core/planning';
import { minor } from '../../core/units';
import type { StartView } from '../../views/start-plan';
import { describeOneMore } from '../../wording/start';
import { callApi, wordsOf } from '../shared/api';
import { useSettings } from '../shared/settings';
import { enqueueSnackbar } from '../shared/snackbar';

export const WEEKS_SHOWN = 26;
/** More than any kit costs: the cheapest is looked for without a cap. */
const NO_CAP = minor(100_000_000);

export function useStartPlan(view: StartView) {
  const settings = useSettings();
  const { figures } = settings.shop;
  const [plan, setPlan] = useState(view.plan);
  const [saved, setSaved] = useState({ plan: view.plan, version: view.version });
  const { hoursPerWeek } = plan;
  const widest = useMemo(() => findWidest(plan, view), [plan, view]);
  const wish = useMemo(() => ({ ...plan, leastWidthMm: widest?.acrossMm ?? 0 }), [plan, widest]);
  const kit = useMemo(
    () => (wish.chosen ? addUpKit(wish.options, wish.chosen, wish.cap) : chooseKit(wish, 'grade')),
    [wish],
  );
  const cheapest = useMemo(() => chooseKit({ ...wish, cap: NO_CAP }, 'price'), [wish]);
  const narrow = kit?.chosen.map((at) => plan.options[at]!).find((option) => isTooNarrow(option, wish.leastWidthMm));
  const mix = useMemo(() => listMix(plan, view), [plan, view]);
  const contribution = useMemo(() => computeContribution(mix, figures), [mix, figures]);
  const outcomes = useMemo(() => {
    if (!kit || !contribution) return [];
    return SCENARIOS.map((scenario) => {
      const bent = bendContribution(contribution, mix, scenario);
      const wish = { spent: kit.total, contribution: bent, hoursPerWeek, weeks: WEEKS_SHOWN };
      return { scenario, outcome: computeBreakEven(wish) };
    });
  }, [kit, contribution, mix, hoursPerWeek]);
  const expected = outcomes.find(({ scenario }) => scenario.name === 'expected')?.outcome ?? null;
  const oneMore =
    kit && contribution && expected
      ? describeOneMore(
          expected,
          computeBreakEven({ spent: kit.total, contribution: addOneSale(contribution), hoursPerWeek, weeks: 0 }),
          settings,
        )
      : null;
  const save = async () => {
    try {
      const { version } = await callApi<{ version: number }>('PUT', '/api/plan', { ...plan, version: saved.version });
      setSaved({ plan, version });
      enqueueSnackbar('The plan is saved.');
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
    }
  };
  return {
    plan,
    change: (part: Partial<StartPlan>) => setPlan((before) => ({ ...before, ...part })),
    changed: plan !== saved.plan,
    save,
    kit,
    cheapest,
    /** Of what is sold, the item that needs the widest cutter. */
    widest,
    /** The cutter of the kit, where it can't make that. */
    narrow,
    contribution,
    outcomes,
    expected,
    oneMore,
  };
}
export type StartPlanState = ReturnType<typeof useStartPlan>;

/** Of the items that are to be sold, the one whose print needs the widest cutter. */
function findWidest(plan: StartPlan, view: StartView): StartView['items'][number] | null {
  const sold = view.items.filter((item) => plan.mix.some(({ itemId, perWeek }) => itemId === item.id && perWeek > 0));
  return sold.reduce<StartView['items'][number] | null>(
    (widest, item) => (item.acrossMm > (widest?.acrossMm ?? 0) ? item : widest),
    null,
  );
}

function listMix(plan: StartPlan, view: StartView): readonly MixItem[] {
  return plan.mix.flatMap(({ itemId, perWeek }) => {
    const item = view.items.find((candidate) => candidate.id === itemId);
    return item ? [{ ...item, perWeek }] : [];
  });
}
