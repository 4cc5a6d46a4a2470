import { textsInput } from '../../core/input';
import { endpoint, readJson } from '../../server/endpoint';
import { parseInput } from '../../server/errors';
import { setTexts } from '../../server/lettering/set-texts';

export const POST = endpoint(async ({ shop, api }) =>
  setTexts(shop, parseInput(textsInput, await readJson(api.request))),
);
