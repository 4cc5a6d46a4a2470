import { endpoint } from '../../server/endpoint';
import { loadToday } from '../../server/views/bench';

export const GET = endpoint(({ shop }) => loadToday(shop));
