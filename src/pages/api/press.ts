import { pressInput } from '../../core/input/index';
import { endpoint, readJson } from '../../server/endpoint';
import { parseInput } from '../../server/errors';
import { viewPress, workPress } from '../../server/pressing/work-press';

export const GET = endpoint(({ shop }) => ({ press: viewPress(shop) }));
export const POST = endpoint(async ({ shop, api }) => ({
  press: workPress(shop, parseInput(pressInput, await readJson(api.request))),
}));
