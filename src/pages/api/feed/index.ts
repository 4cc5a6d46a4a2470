import { decodeList } from '../../../core/buying/price-list';
import { feedColumnsInput } from '../../../core/input';
import { readFactsOf } from '../../../server/artwork/save-artwork';
import { endpoint, readBody } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { loadFeed } from '../../../server/feeds/load-feed';
import { takeFeed } from '../../../server/feeds/take-feed';

const FILE_LIMIT_BYTES = 5 * 1024 * 1024;

export const GET = endpoint(({ shop, api }) => loadFeed(shop, api.url.searchParams));
/** A file that was chosen instead of dropped into the folder; `facts`: which column is which, where that was said. */
export const POST = endpoint(async ({ shop, api }) => {
  const { searchParams } = api.url;
  return takeFeed(shop, {
    file: (searchParams.get('file') ?? 'a file').slice(0, 200),
    text: decodeList(await readBody(api.request, FILE_LIMIT_BYTES)),
    ...(searchParams.has('facts') ? { columns: parseInput(feedColumnsInput, readFactsOf(searchParams)) } : {}),
  });
});
