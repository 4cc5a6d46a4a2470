import { endpoint } from '../../../../server/endpoint';
import { loadFloors } from '../../../../server/trials/load-floors';

export const GET = endpoint(({ shop }) => loadFloors(shop));
