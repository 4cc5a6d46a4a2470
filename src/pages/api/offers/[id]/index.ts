import { offerInput } from '../../../../core/input';
import { archiveOffer, changeOffer, loadHistory } from '../../../../server/buying/save-offers';
import { endpoint, keepEndpoints, readId } from '../../../../server/endpoint';

const WHAT = 'This offer';
export const GET = endpoint(({ shop, api }) => loadHistory(shop, readId(api, WHAT)));
export const { PUT, DELETE, POST } = keepEndpoints(WHAT, offerInput, { change: changeOffer, archive: archiveOffer });
