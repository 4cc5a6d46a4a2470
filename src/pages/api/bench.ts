import { endpoint } from '../../server/endpoint';
import { loadBench } from '../../server/bench/load-bench';

export const GET = endpoint(({ shop }) => loadBench(shop));
