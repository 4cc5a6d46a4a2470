import { handSettingInput } from '../../../../core/input/index';
import { setByHand } from '../../../../server/cutting/cut-by-hand';
import { endpoint, readId, readJson } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';
import { loadRunning } from '../../../../server/shop/load-frame';

export const PUT = endpoint(async ({ shop, api }) => {
  setByHand(shop, readId(api, 'This timer'), parseInput(handSettingInput, await readJson(api.request)));
  return { running: loadRunning(shop), nowMs: shop.now() };
});
