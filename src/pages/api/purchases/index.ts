import { purchaseInput } from '../../../core/input';
import { loadPurchasesView, placePurchases } from '../../../server/buying/purchases';
import { createEndpoint } from '../../../server/create-once';
import { endpoint } from '../../../server/endpoint';

export const GET = endpoint(({ shop }) => loadPurchasesView(shop));
export const POST = createEndpoint(purchaseInput, placePurchases);
