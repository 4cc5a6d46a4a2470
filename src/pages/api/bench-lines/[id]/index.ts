import { loadBenchLine } from '../../../../server/bench/load-station';
import { endpoint, readId } from '../../../../server/endpoint';

export const GET = endpoint(({ shop, api }) => loadBenchLine(shop, readId(api, 'This line')));
