import { endpoint } from '../../../server/endpoint';
import { loadShelf } from '../../../server/views/items';

export const GET = endpoint(({ shop }) => loadShelf(shop));
