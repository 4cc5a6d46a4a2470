import { decodeList } from '../../../core/buying/price-list';
import { endpoint, readBody } from '../../../server/endpoint';
import { loadFeed } from '../../../server/feeds/load-feed';
import { takeFeed } from '../../../server/feeds/take-feed';

const FILE_LIMIT_BYTES = 5 * 1024 * 1024;

export const GET = endpoint(({ shop, api }) => loadFeed(shop, api.url.searchParams));
/** A file that was chosen instead of dropped into the folder. */
export const POST = endpoint(async ({ shop, api }) =>
  takeFeed(shop, {
    file: (api.url.searchParams.get('file') ?? 'a file').slice(0, 200),
    text: decodeList(await readBody(api.request, FILE_LIMIT_BYTES)),
  }),
);
