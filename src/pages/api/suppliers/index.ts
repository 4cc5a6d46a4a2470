import { supplierInput } from '../../../core/input';
import { addSupplier } from '../../../server/buying/save-supplier';
import { loadOffersView } from '../../../server/buying/offer-index';
import { createEndpoint } from '../../../server/create-once';
import { endpoint } from '../../../server/endpoint';

export const GET = endpoint(({ shop }) => loadOffersView(shop));
export const POST = createEndpoint(supplierInput, addSupplier);
