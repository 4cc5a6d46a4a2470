import { stopWorkInput } from '../../../core/input/index';
import { endpoint, readId, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { loadBench } from '../../../server/bench/load-bench';
import { finishWork } from '../../../server/bench/work-at-bench';

export const POST = endpoint(async ({ shop, api }) => {
  const { outcome } = parseInput(stopWorkInput, await readJson(api.request));
  return { ...finishWork(shop, readId(api, 'This timer'), outcome), bench: loadBench(shop) };
});
