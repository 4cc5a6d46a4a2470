import { endpoint, readId } from '../../../../server/endpoint';
import { explainItemFigure } from '../../../../server/items/load-item-list';

export const GET = endpoint(({ shop, api }) => explainItemFigure(shop, readId(api, 'This item'), api.url.searchParams));
