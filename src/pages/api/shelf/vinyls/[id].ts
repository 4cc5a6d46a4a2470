import { vinylInput, versionInput } from '../../../../core/input';
import { endpoint, readId, readJson } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';
import { archiveVinyl, changeVinyl } from '../../../../server/keep-shelf';

const WHAT = 'This vinyl';
export const PUT = endpoint(async ({ shop, api }) => {
  const body = await readJson(api.request);
  return changeVinyl(shop, readId(api, WHAT), parseInput(vinylInput, body), parseInput(versionInput, body).version);
});
export const DELETE = endpoint(({ shop, api }) => archiveVinyl(shop, readId(api, WHAT), true));
export const POST = endpoint(({ shop, api }) => archiveVinyl(shop, readId(api, WHAT), false));
