import { endpoint } from '../../../server/endpoint';
import { retryFeed } from '../../../server/feeds/take-feed';

export const POST = endpoint(({ shop }) => retryFeed(shop));
