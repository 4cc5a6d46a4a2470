import { listFacts } from '../../../../core/input';
import { applyList, fetchSimulatedList, previewList } from '../../../../server/buying/import-price-list';
import { endpoint, readBody, readId } from '../../../../server/endpoint';
import { parseInput } from '../../../../server/errors';
import { readFactsOf } from '../../../../server/artwork/save-artwork';

const LIST_LIMIT_BYTES = 20 * 1024 * 1024;
const WHAT = 'This supplier';

export const GET = endpoint(({ shop, api }) => {
  const { bytes, fileName } = fetchSimulatedList(shop, readId(api, WHAT));
  return new Response(new Uint8Array(bytes), {
    headers: {
      'Content-Type': 'text/csv',
      'Content-Disposition': `attachment; filename="${fileName}"`,
      'Cache-Control': 'no-store',
    },
  });
});
/** Looks at a list; what it would change. */
export const POST = endpoint(async ({ shop, api }) =>
  previewList(
    shop,
    readId(api, WHAT),
    await readBody(api.request, LIST_LIMIT_BYTES),
    parseInput(listFacts, readFactsOf(api.url.searchParams)),
  ),
);
/** Takes it over. */
export const PUT = endpoint(async ({ shop, api }) =>
  applyList(
    shop,
    readId(api, WHAT),
    await readBody(api.request, LIST_LIMIT_BYTES),
    parseInput(listFacts, readFactsOf(api.url.searchParams)),
  ),
);
