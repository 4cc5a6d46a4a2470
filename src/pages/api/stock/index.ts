import { lotInput } from '../../../core/input';
import { endpoint, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { receiveLot } from '../../../server/stock/keep-stock';
import { loadStock } from '../../../server/stock/view-stock';

export const GET = endpoint(({ shop }) => loadStock(shop));
export const POST = endpoint(async ({ shop, api }) => receiveLot(shop, parseInput(lotInput, await readJson(api.request))));
