import { downloadOriginal } from '../../../../server/artwork/load-original';
import { endpoint, readId } from '../../../../server/endpoint';

export const GET = endpoint(({ shop, api }) => downloadOriginal(shop, readId(api, 'This artwork')));
