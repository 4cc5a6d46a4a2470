import { channelInput, versionInput } from '../../../core/input';
import { endpoint, readId, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { archiveChannel, changeChannel } from '../../../server/keep-channels';

const WHAT = 'This channel';
export const PUT = endpoint(async ({ shop, api }) => {
  const body = await readJson(api.request);
  return changeChannel(shop, readId(api, WHAT), parseInput(channelInput, body), parseInput(versionInput, body).version);
});
export const DELETE = endpoint(({ shop, api }) => archiveChannel(shop, readId(api, WHAT), true));
export const POST = endpoint(({ shop, api }) => archiveChannel(shop, readId(api, WHAT), false));
