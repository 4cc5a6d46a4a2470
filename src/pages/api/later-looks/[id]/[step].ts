import { seenInput } from '../../../../core/input/index';
import { endpoint, readId, readJsonIfAny } from '../../../../server/endpoint';
import { notFound, parseInput } from '../../../../server/errors';
import { putOffLater, seeLater, unseeLater } from '../../../../server/trials/later-looks';

export const POST = endpoint(async ({ shop, api }) => {
  const id = readId(api, 'This look');
  switch (api.params['step']) {
    case 'seen':
      return seeLater(shop, id, parseInput(seenInput, await readJsonIfAny(api.request)));
    case 'take-back':
      return unseeLater(shop, id);
    case 'put-off':
      return putOffLater(shop, id);
    default:
      throw notFound('This step');
  }
});
