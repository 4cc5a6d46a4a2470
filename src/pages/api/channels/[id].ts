import { channelInput } from '../../../core/input';
import { keepEndpoints } from '../../../server/endpoint';
import { archiveChannel, changeChannel } from '../../../server/shop/save-channel';

export const { PUT, DELETE, POST } = keepEndpoints('This channel', channelInput, {
  change: changeChannel,
  archive: archiveChannel,
});
