import { offerInput, versionInput } from '../../../../core/input';
import { archiveOffer, changeOffer, loadHistory } from '../../../../server/buying/keep-offers';
import { endpoint, readId, readJson } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';

const WHAT = 'This offer';
export const GET = endpoint(({ shop, api }) => loadHistory(shop, readId(api, WHAT)));
export const PUT = endpoint(async ({ shop, api }) => {
  const body = await readJson(api.request);
  return changeOffer(shop, readId(api, WHAT), parseInput(offerInput, body), parseInput(versionInput, body).version);
});
export const DELETE = endpoint(({ shop, api }) => archiveOffer(shop, readId(api, WHAT), true));
export const POST = endpoint(({ shop, api }) => archiveOffer(shop, readId(api, WHAT), false));
