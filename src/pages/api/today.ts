import { endpoint } from '../../server/endpoint';
import { loadToday } from '../../server/bench/load-bench';

export const GET = endpoint(({ shop }) => loadToday(shop));
