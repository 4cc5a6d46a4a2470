import { cutSheetInput, cutSheetVersion } from '../../../../../core/input/index';
import { endpoint, readId, readJson } from '../../../../../server/endpoint';
import { parseInput } from '../../../../../server/errors';
import { changeCutSheet, dropCutSheet } from '../../../../../server/cut-sheets/save-cut-sheet';

const WHAT = 'This cut sheet';
export const PUT = endpoint(async ({ shop, api }) => {
  const body = await readJson(api.request);
  return changeCutSheet(
    shop,
    readId(api, WHAT),
    parseInput(cutSheetVersion, body).version,
    parseInput(cutSheetInput, body),
  );
});
export const DELETE = endpoint(({ shop, api }) => dropCutSheet(shop, readId(api, WHAT)));
