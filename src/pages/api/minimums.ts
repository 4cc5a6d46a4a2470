import { minimumInput } from '../../core/input';
import { setMinimum } from '../../data/offer-store';
import { endpoint, readJson } from '../../server/endpoint';
import { parseInput } from '../../server/errors';
import { requireThing } from '../../server/stock/things';

export const PUT = endpoint(async ({ shop, api }) => {
  const { key, amount, coverWeeks } = parseInput(minimumInput, await readJson(api.request));
  requireThing(shop, key);
  setMinimum(shop.db, key, { amount, coverWeeks });
});
