import { cutterInput } from '../../core/input/index';
import { chooseCutter, playTrick } from '../../server/devices';
import { endpoint, readJson } from '../../server/endpoint';
import { parseInput } from '../../server/errors';

export const POST = endpoint(async ({ shop, api }) => {
  const { choice, trick } = parseInput(cutterInput, await readJson(api.request));
  if (choice) chooseCutter(shop, choice);
  if (trick) playTrick(shop, trick);
  return {};
});
