import { floorInput } from '../../../../core/input';
import { endpoint, readId, readJson } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';
import { keepFloor } from '../../../../server/trials/load-floors';

/** What the vinyl holds from now on. */
export const PUT = endpoint(async ({ shop, api }) =>
  keepFloor(shop, readId(api, 'This vinyl'), parseInput(floorInput, await readJson(api.request))),
);
