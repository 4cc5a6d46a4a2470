import { laterInput } from '../../../core/input/index';
import { createEndpoint } from '../../../server/create-once';
import { endpoint } from '../../../server/endpoint';
import { loadDue, planLater } from '../../../server/trials/later-looks';

export const GET = endpoint(({ shop }) => loadDue(shop));
export const POST = createEndpoint(laterInput, planLater);
