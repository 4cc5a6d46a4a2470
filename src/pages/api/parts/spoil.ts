import { spoilInput } from '../../../core/input';
import { endpoint, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { loadStation, readStation } from '../../../server/bench/load-station';
import { spoilParts } from '../../../server/bench/spoil-parts';

export const POST = endpoint(async ({ shop, api }) => ({
  ...spoilParts(shop, parseInput(spoilInput, await readJson(api.request))),
  bench: loadStation(shop, readStation(api.url.searchParams)),
}));
