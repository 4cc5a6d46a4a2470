import { endpoint, readId } from '../../../server/endpoint';
import { removePerson } from '../../../server/shop/people';

export const DELETE = endpoint(({ shop, api }) => removePerson(shop, readId(api, 'This person')));
