import { stopSessionInput } from '../../../core/input/index';
import { endpoint, readId, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { loadBench } from '../../../server/bench/load-bench';
import { finishSession } from '../../../server/bench/work-at-bench';

export const POST = endpoint(async ({ shop, api }) => {
  const { outcome } = parseInput(stopSessionInput, await readJson(api.request));
  return { ...finishSession(shop, readId(api, 'This timer'), outcome), bench: loadBench(shop) };
});
