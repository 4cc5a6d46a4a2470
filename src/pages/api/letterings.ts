import { textsInput } from '../../core/input';
import { endpoint, readJson } from '../../server/endpoint';
import { parseInput } from '../../server/errors';
import { wakeThreads } from '../../server/lettering/letter-texts';
import { setTexts } from '../../server/lettering/set-texts';

/** Texts in a typeface are about to be asked for: whoever sets them gets ready. */
export const GET = endpoint(({ api }) => {
  wakeThreads(api.url.searchParams.get('typeface'));
  return {};
});
export const POST = endpoint(async ({ shop, api }) =>
  setTexts(shop, parseInput(textsInput, await readJson(api.request))),
);
