import { startSessionInput } from '../../../core/input/index';
import { endpoint, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { loadStation, readStation } from '../../../server/bench/load-station';
import { loadRunning } from '../../../server/shop/load-frame';
import { startSession } from '../../../server/bench/work-at-bench';

export const GET = endpoint(({ shop }) => ({ running: loadRunning(shop), nowMs: shop.now() }));
export const POST = endpoint(async ({ shop, api }) => {
  startSession(shop, parseInput(startSessionInput, await readJson(api.request)));
  return { eventIds: [], bench: loadStation(shop, readStation(api.url.searchParams)) };
});
