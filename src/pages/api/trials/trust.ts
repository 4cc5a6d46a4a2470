import { endpoint } from '../../../server/endpoint';
import { loadTrust } from '../../../server/trials/load-trust';

export const GET = endpoint(({ shop }) => loadTrust(shop));
