import { endpoint, readId } from '../../../../../server/endpoint';
import { getSystem } from '../../../../../server/page';
import { printOrderPaper } from '../../../../../server/paper/orders/print-order-paper';
import { pdfResponse } from '../../../../../server/paper/paper';

export const GET = endpoint(async ({ shop, api }) => {
  const { bytes, fileName } = await printOrderPaper(shop, {
    id: readId(api, 'This order'),
    paper: api.params['paper'] ?? '',
    address: api.url.origin,
    system: getSystem(api),
  });
  return pdfResponse(bytes, fileName);
});
