import { endpoint } from '../../server/endpoint';
import { loadToday } from '../../server/bench/load-today';

export const GET = endpoint(({ shop }) => loadToday(shop));
