import { endpoint, readId } from '../../../../server/endpoint';
import { removeLadder } from '../../../../server/trials/ladders';
import { loadLadder } from '../../../../server/trials/view-ladder';

export const GET = endpoint(({ shop, api }) => loadLadder(shop, readId(api, 'This ladder')));
export const DELETE = endpoint(({ shop, api }) => removeLadder(shop, readId(api, 'This ladder')));
