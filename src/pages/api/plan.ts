import { planInput, planVersion } from '../../core/input';
import { endpoint, readJson } from '../../server/endpoint';
import { parseInput } from '../../server/errors';
import { changeStartPlan, loadStart } from '../../server/shop/save-start-plan';

export const GET = endpoint(({ shop }) => loadStart(shop));
export const PUT = endpoint(async ({ shop, api }) => {
  const body = await readJson(api.request);
  return changeStartPlan(shop, parseInput(planInput, body), parseInput(planVersion, body).version);
});
