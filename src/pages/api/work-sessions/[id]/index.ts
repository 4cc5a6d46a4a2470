import { stopSessionInput } from '../../../../core/input/index';
import { endpoint, readId, readJson } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';
import { loadStation, readStation } from '../../../../server/bench/load-station';
import { finishSession } from '../../../../server/bench/work-at-bench';

export const POST = endpoint(async ({ shop, api }) => {
  const { outcome, ...more } = parseInput(stopSessionInput, await readJson(api.request));
  return {
    ...finishSession(shop, readId(api, 'This timer'), outcome, more),
    bench: loadStation(shop, readStation(api.url.searchParams)),
  };
});
