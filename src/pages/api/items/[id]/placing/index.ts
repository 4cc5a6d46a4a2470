import { placingsInput, versionInput } from '../../../../../core/input';
import { endpoint, readId, readJson } from '../../../../../server/endpoint';
import { parseInput } from '../../../../../server/errors';
import { loadPlacing } from '../../../../../server/items/load-placing';
import { packSoon } from '../../../../../server/items/pack-items';
import { changePlacing } from '../../../../../server/items/save-item';

const WHAT = 'This item';
export const GET = endpoint(({ shop, api }) => loadPlacing(shop, readId(api, WHAT)));
export const PUT = endpoint(async ({ shop, api }) => {
  const body = await readJson(api.request);
  const id = readId(api, WHAT);
  const saved = changePlacing(shop, id, parseInput(placingsInput, body), parseInput(versionInput, body).version);
  packSoon(shop, id);
  return saved;
});
