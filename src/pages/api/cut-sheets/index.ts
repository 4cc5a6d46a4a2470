import { endpoint } from '../../../server/endpoint';
import { loadCutSheets } from '../../../server/cut-sheets/load-cut-sheets';

export const GET = endpoint(({ shop }) => loadCutSheets(shop));
