// One step with a sheet at the cutter, by its name in the address; answered with how the load stands then.

import type { InferType } from 'yup';
import type { cutStepInput } from '../../core/input/index';
import type { LoadStateView } from '../../views/load';
import type { ShopContext } from '../context';
import { notFound, ShopError } from '../errors';
import { changeRun, giveUp, loadSheet, sendSheet, sendTest, tellCut, tellTest, type AtSheet } from './cut-steps';
import { planLoad, type PlanCut } from './load-plan';
import { requireSavedId, viewState } from './view-load';

export type StepAnswer = LoadStateView & {
  /** The piece that was cut from is lost, and the load with it: it is laid out anew. */
  readonly isGone: boolean;
};
type Input = InferType<typeof cutStepInput>;

export async function takeCutStep(
  shop: ShopContext,
  sessionId: number,
  step: string | undefined,
  input: Input,
  planCut?: PlanCut,
): Promise<StepAnswer> {
  const plan = await planLoad(shop, requireSavedId(shop, sessionId), planCut);
  const { isGone } = carryOut(shop, { sessionId, sheet: input.sheet, plan }, step, input) ?? { isGone: false };
  return { ...viewState(shop, sessionId, plan), isGone };
}

/** @throws ShopError not-found where there is no such step */
function carryOut(shop: ShopContext, at: AtSheet, step: string | undefined, input: Input) {
  switch (step) {
    case 'width':
      return void loadSheet(shop, at, input.widthMm);
    case 'test':
      return void sendTest(shop, at, requireSetting(input));
    case 'test-result':
      if (!input.result) throw new ShopError('invalid', { reason: 'result-missing' }, 'result');
      return void tellTest(shop, at, { setting: requireSetting(input), result: input.result });
    case 'send':
      return void sendSheet(shop, at, { setting: requireSetting(input), untested: input.untested });
    case 'pause':
    case 'resume':
    case 'abort':
      return void changeRun(shop, at, step);
    case 'cut':
      return void tellCut(shop, at);
    case 'give-up':
      return giveUp(shop, at);
    default:
      throw notFound('This step');
  }
}

function requireSetting({ setting }: Input) {
  if (!setting) throw new ShopError('invalid', { reason: 'setting-missing' }, 'setting');
  return setting;
}
