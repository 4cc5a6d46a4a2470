import { endpoint } from '../../../server/endpoint';
import { readNumber } from '../../../server/page';
import { listChoices } from '../../../server/trials/view-ladder';

export const GET = endpoint(({ shop, api }) => listChoices(shop, readNumber(api.url.searchParams.get('vinyl'))));
