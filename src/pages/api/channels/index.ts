import { channelInput } from '../../../core/input';
import { endpoint, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { addChannel, listChannels } from '../../../server/shop/save-channel';

export const GET = endpoint(({ shop }) => listChannels(shop));
export const POST = endpoint(async ({ shop, api }) =>
  addChannel(shop, parseInput(channelInput, await readJson(api.request))),
);
