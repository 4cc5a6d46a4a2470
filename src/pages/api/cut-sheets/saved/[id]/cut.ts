import { cutSavedInput } from '../../../../../core/input/index';
import { cutSavedSheet } from '../../../../../server/cut-sheets/cut-saved-sheet';
import { endpoint, readId, readJson } from '../../../../../server/endpoint';
import { parseInput } from '../../../../../server/errors';

export const POST = endpoint(async ({ shop, api }) =>
  cutSavedSheet(shop, readId(api, 'This cut sheet'), parseInput(cutSavedInput, await readJson(api.request))),
);
