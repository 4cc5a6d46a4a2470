import { endpoint } from '../../../server/endpoint';
import { lookIntoFolder } from '../../../server/feeds/feed-folder';

/** Into the folder, for files that were dropped there. */
export const POST = endpoint(({ shop }) => lookIntoFolder(shop));
