import { offerInput } from '../../../../core/input';
import { archiveOffer, changeOffer, loadHistory } from '../../../../server/buying/save-offers';
import { endpoint, editEndpoints, readId } from '../../../../server/endpoint';

const WHAT = 'This offer';
export const GET = endpoint(({ shop, api }) => loadHistory(shop, readId(api, WHAT)));
export const { PUT, DELETE, POST } = editEndpoints(WHAT, offerInput, { change: changeOffer, archive: archiveOffer });
