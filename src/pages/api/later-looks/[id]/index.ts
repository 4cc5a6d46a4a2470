import { endpoint, readId } from '../../../../server/endpoint';
import { forgetLater } from '../../../../server/trials/later-looks';

export const DELETE = endpoint(({ shop, api }) => forgetLater(shop, readId(api, 'This look')));
