import { progressInput } from '../../../../core/input/index';
import { endpoint, readId, readJson } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';
import { progressWork } from '../../../../server/bench/progress-work';
import { loadRunning } from '../../../../server/shop/load-frame';

export const POST = endpoint(async ({ shop, api }) => {
  progressWork(shop, readId(api, 'This timer'), parseInput(progressInput, await readJson(api.request)));
  return { running: loadRunning(shop), nowMs: shop.now() };
});
