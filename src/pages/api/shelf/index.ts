import { endpoint } from '../../../server/endpoint';
import { loadStockedShelf } from '../../../server/views/items';

export const GET = endpoint(({ shop }) => loadStockedShelf(shop));
