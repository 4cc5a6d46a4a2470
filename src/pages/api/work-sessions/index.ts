import { startWorkInput } from '../../../core/input/index';
import { endpoint, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { loadBench } from '../../../server/bench/load-bench';
import { loadRunning } from '../../../server/shop/load-frame';
import { startWork } from '../../../server/bench/work-at-bench';

export const GET = endpoint(({ shop }) => ({ running: loadRunning(shop), nowMs: shop.now() }));
export const POST = endpoint(async ({ shop, api }) => {
  startWork(shop, parseInput(startWorkInput, await readJson(api.request)));
  return { eventIds: [], bench: loadBench(shop) };
});
