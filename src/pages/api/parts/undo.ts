import { undoInput } from '../../../core/input';
import { endpoint, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { loadStation, readStation } from '../../../server/bench/load-station';
import { undoSteps } from '../../../server/bench/undo-steps';

export const POST = endpoint(async ({ shop, api }) => {
  const { eventIds, partIds } = parseInput(undoInput, await readJson(api.request));
  undoSteps(shop, eventIds, partIds);
  return { eventIds: [], bench: loadStation(shop, readStation(api.url.searchParams)) };
});
