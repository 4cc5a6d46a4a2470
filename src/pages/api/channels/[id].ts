import { channelInput } from '../../../core/input';
import { editEndpoints } from '../../../server/endpoint';
import { archiveChannel, changeChannel } from '../../../server/shop/save-channel';

export const { PUT, DELETE, POST } = editEndpoints('This channel', channelInput, {
  change: changeChannel,
  archive: archiveChannel,
});
