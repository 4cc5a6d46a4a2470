import { channelInput } from '../../../core/input';
import { loadChannels } from '../../../data/channel-store';
import { endpoint, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { addChannel } from '../../../server/shop/save-channel';

export const GET = endpoint(({ shop }) => loadChannels(shop.db));
export const POST = endpoint(async ({ shop, api }) =>
  addChannel(shop, parseInput(channelInput, await readJson(api.request))),
);
