import { channelInput } from '../../../core/input';
import { createEndpoint } from '../../../server/create-once';
import { endpoint } from '../../../server/endpoint';
import { addChannel, listChannels } from '../../../server/shop/save-channel';

export const GET = endpoint(({ shop }) => listChannels(shop));
export const POST = createEndpoint(channelInput, addChannel);
