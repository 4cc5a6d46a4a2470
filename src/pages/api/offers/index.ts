import { offerInput, offerQuery } from '../../../core/input';
import { addOffer } from '../../../server/buying/save-offers';
import { findOfferPage } from '../../../server/buying/offer-index';
import { createEndpoint } from '../../../server/create-once';
import { endpoint } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';

export const GET = endpoint(({ shop, api }) =>
  findOfferPage(shop, parseInput(offerQuery, { sort: 'unit', ...Object.fromEntries(api.url.searchParams) })),
);
export const POST = createEndpoint(offerInput, addOffer);
