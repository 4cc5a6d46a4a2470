import { loadPartDrawing } from '../../../../server/bench/part-drawing';
import { endpoint, readId } from '../../../../server/endpoint';

export const GET = endpoint(({ shop, api }) => loadPartDrawing(shop, readId(api, 'This part')));
