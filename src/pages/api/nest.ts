import { nestInput } from '../../core/input';
import { endpoint, readJson } from '../../server/endpoint';
import { parseInput } from '../../server/errors';
import { nestParts } from '../../server/cut-sheets/nest-parts';

export const POST = endpoint(async ({ shop, api }) =>
  nestParts(shop, parseInput(nestInput, await readJson(api.request))),
);
