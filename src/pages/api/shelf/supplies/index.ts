import { supplyInput } from '../../../../core/input';
import { createEndpoint } from '../../../../server/create-once';
import { endpoint } from '../../../../server/endpoint';
import { addSupply, loadSuppliesView } from '../../../../server/stock/save-supplies';

export const GET = endpoint(({ shop }) => loadSuppliesView(shop));
export const POST = createEndpoint(supplyInput, addSupply);
