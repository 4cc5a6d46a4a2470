import { endpoint, readId } from '../../../../server/endpoint';
import { getSystem } from '../../../../server/page';
import { printProtocol } from '../../../../server/trials/print-protocol';

export const GET = endpoint(({ shop, api }) => printProtocol(shop, readId(api, 'This trial'), getSystem(api)));
