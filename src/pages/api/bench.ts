import { endpoint } from '../../server/endpoint';
import { loadBench } from '../../server/views/bench';

export const GET = endpoint(({ shop }) => loadBench(shop));
