import { currencyChange, shopInput, versionInput } from '../../core/input';
import { getShop } from '../../server/context';
import { endpoint, readJson } from '../../server/endpoint';
import { parseInput } from '../../server/errors';
import { packItemsUsing } from '../../server/items/pack-items';
import { changeShop } from '../../server/shop/change-shop';

export const GET = endpoint(({ shop }) => getShop(shop));
export const PUT = endpoint(async ({ shop, api }) => {
  const body = await readJson(api.request);
  const before = getShop(shop).figures.cutterEdgeMm;
  const { version } = parseInput(versionInput, body);
  changeShop(shop, parseInput(shopInput, body), version, parseInput(currencyChange, body));
  const now = getShop(shop);
  if (now.figures.cutterEdgeMm !== before) packItemsUsing(shop, 'cutter');
  return now;
});
