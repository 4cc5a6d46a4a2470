import { supplyInput } from '../../../../core/input';
import { endpoint, readJson } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';
import { addSupply, loadSuppliesView } from '../../../../server/stock/save-supplies';

export const GET = endpoint(({ shop }) => loadSuppliesView(shop));
export const POST = endpoint(async ({ shop, api }) =>
  addSupply(shop, parseInput(supplyInput, await readJson(api.request))),
);
