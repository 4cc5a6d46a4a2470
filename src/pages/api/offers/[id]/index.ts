import { partKeyInput } from '../../../../core/input';
import { loadHistory, matchPart } from '../../../../server/buying/keep-offers';
import { endpoint, readId, readJson } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';

const WHAT = 'This offer';
export const GET = endpoint(({ shop, api }) => loadHistory(shop, readId(api, WHAT)));
export const PUT = endpoint(async ({ shop, api }) => {
  const { position, key } = parseInput(partKeyInput, await readJson(api.request));
  return matchPart(shop, readId(api, WHAT), position, key);
});
