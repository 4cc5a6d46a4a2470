import { cutSheetInput } from '../../../../core/input';
import { endpoint, readJson } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';
import { keepCutSheet } from '../../../../server/keep-cut-sheet';

export const POST = endpoint(async ({ shop, api }) =>
  keepCutSheet(shop, parseInput(cutSheetInput, await readJson(api.request))),
);
