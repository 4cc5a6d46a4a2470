import { cutSheetInput } from '../../../../core/input/index';
import { endpoint, readJson } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';
import { saveCutSheet } from '../../../../server/cut-sheets/save-cut-sheet';

export const POST = endpoint(async ({ shop, api }) =>
  saveCutSheet(shop, parseInput(cutSheetInput, await readJson(api.request))),
);
