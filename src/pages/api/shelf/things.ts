import { endpoint } from '../../../server/endpoint';
import { listThings } from '../../../server/stock/things';

export const GET = endpoint(({ shop }) => listThings(shop));
