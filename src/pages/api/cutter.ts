import { cutterInput } from '../../core/input/index';
import { chooseDevice, playTrick } from '../../server/devices';
import { endpoint, readJson } from '../../server/endpoint';
import { parseInput } from '../../server/errors';

export const POST = endpoint(async ({ shop, api }) => {
  const { choice, trick } = parseInput(cutterInput, await readJson(api.request));
  if (choice) chooseDevice(shop, 'cutter', choice);
  if (trick) playTrick(shop, trick);
  return {};
});
