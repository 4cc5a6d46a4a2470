import { endpoint } from '../../../server/endpoint';
import { loadCutSheets } from '../../../server/views/cut-sheets';

export const GET = endpoint(({ shop }) => loadCutSheets(shop));
