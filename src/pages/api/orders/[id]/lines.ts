import { linesChange, versionInput } from '../../../../core/input';
import { endpoint, readId, readJson } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';
import { changeLines } from '../../../../server/orders/change-lines';
import { prepareTexts } from '../../../../server/orders/line-texts';

export const PUT = endpoint(async ({ shop, api }) => {
  const body = await readJson(api.request);
  const change = parseInput(linesChange, body);
  await prepareTexts(shop, change.lines);
  return changeLines(shop, readId(api, 'This order'), change, parseInput(versionInput, body).version);
});
