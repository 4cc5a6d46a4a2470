import { decodeList } from '../../../core/buying/price-list';
import { importCustomers } from '../../../server/customers/save-customer';
import { loadCustomerList } from '../../../server/customers/load-customers';
import { endpoint, readBody } from '../../../server/endpoint';

const FILE_LIMIT_BYTES = 5 * 1024 * 1024;

export const GET = endpoint(({ shop, api }) => loadCustomerList(shop, api.url.searchParams));
/** A table of customers. */
export const POST = endpoint(async ({ shop, api }) =>
  importCustomers(shop, decodeList(await readBody(api.request, FILE_LIMIT_BYTES))),
);
