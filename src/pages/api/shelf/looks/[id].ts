import { endpoint, readId } from '../../../../server/endpoint';
import { removeLook } from '../../../../server/stock/recipes';

export const DELETE = endpoint(({ shop, api }) => removeLook(shop, readId(api, 'What was seen')));
