import { endpoint } from '../../../server/endpoint';
import { loadCutSheets, readShown } from '../../../server/cut-sheets/load-cut-sheets';

export const GET = endpoint(({ shop, api }) => loadCutSheets(shop, readShown(api.url.searchParams)));
