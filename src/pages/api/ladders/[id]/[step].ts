import { ladderStepInput } from '../../../../core/input/index';
import { endpoint, readId, readJsonIfAny } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';
import { takeLadderStep } from '../../../../server/trials/take-ladder-step';

export const POST = endpoint(async ({ shop, api }) => {
  const input = parseInput(ladderStepInput, await readJsonIfAny(api.request));
  return takeLadderStep(shop, readId(api, 'This ladder'), api.params['step'], input);
});
