import { customerInput } from '../../../../core/input';
import { archiveCustomer, changeCustomer } from '../../../../server/customers/save-customer';
import { loadCustomer } from '../../../../server/customers/load-customers';
import { editEndpoints, endpoint, readId } from '../../../../server/endpoint';

const WHAT = 'This customer';
export const GET = endpoint(({ shop, api }) => loadCustomer(shop, readId(api, WHAT)));
export const { PUT, DELETE, POST } = editEndpoints(WHAT, customerInput, {
  change: changeCustomer,
  archive: archiveCustomer,
});
