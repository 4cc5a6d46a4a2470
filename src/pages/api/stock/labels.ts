import { getShop } from '../../../server/context';
import { printInThread } from '../../../server/heavy/print-in-thread';
import { endpoint } from '../../../server/endpoint';
import { getSystem } from '../../../server/page';
import { pdfResponse } from '../../../server/paper/paper';
import { loadStock } from '../../../server/stock/load-stock';

export const GET = endpoint(async ({ shop, api }) => {
  const { locale, currency, timeZone } = getShop(shop);
  return pdfResponse(
    await printInThread('printOffcutLabels', loadStock(shop), { locale, currency, timeZone, system: getSystem(api) }),
    'offcut labels.pdf',
  );
});
