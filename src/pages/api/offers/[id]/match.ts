import { partKeyInput } from '../../../../core/input';
import { matchPart } from '../../../../server/buying/save-offers';
import { endpoint, readId, readJson } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';

export const PUT = endpoint(async ({ shop, api }) => {
  const { position, key } = parseInput(partKeyInput, await readJson(api.request));
  return matchPart(shop, readId(api, 'This offer'), position, key);
});
