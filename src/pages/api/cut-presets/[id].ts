import { endpoint, readId } from '../../../server/endpoint';
import { removePreset } from '../../../server/stock/recipes';

export const DELETE = endpoint(({ shop, api }) => removePreset(shop, readId(api, 'This setting')));
