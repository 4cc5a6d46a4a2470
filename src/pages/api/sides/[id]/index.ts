import { endpoint, readId } from '../../../../server/endpoint';
import { removeSide } from '../../../../server/trials/side-by-side';
import { loadSide } from '../../../../server/trials/view-side';

export const GET = endpoint(({ shop, api }) => loadSide(shop, readId(api, 'This trial')));
export const DELETE = endpoint(({ shop, api }) => removeSide(shop, readId(api, 'This trial')));
