import { cutSheetInput } from '../../../../core/input/index';
import { endpoint, readJson } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';
import { keepCutSheet } from '../../../../server/cut-sheets/save-cut-sheet';

export const POST = endpoint(async ({ shop, api }) =>
  keepCutSheet(shop, parseInput(cutSheetInput, await readJson(api.request))),
);
