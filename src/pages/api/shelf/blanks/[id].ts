import { blankInput, versionInput } from '../../../../core/input';
import { endpoint, readId, readJson } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';
import { archiveBlank, changeBlank } from '../../../../server/keep-shelf';

const WHAT = 'This blank';
export const PUT = endpoint(async ({ shop, api }) => {
  const body = await readJson(api.request);
  return changeBlank(shop, readId(api, WHAT), parseInput(blankInput, body), parseInput(versionInput, body).version);
});
export const DELETE = endpoint(({ shop, api }) => archiveBlank(shop, readId(api, WHAT), true));
export const POST = endpoint(({ shop, api }) => archiveBlank(shop, readId(api, WHAT), false));
