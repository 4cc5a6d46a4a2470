import { endpoint } from '../../server/endpoint';
import { readStamp } from '../../server/remember';

/** What changes with every change of the shop: pages ask for it, and for their data anew when it is another. */
export const GET = endpoint(({ shop }) => ({ stamp: readStamp(shop) }));
