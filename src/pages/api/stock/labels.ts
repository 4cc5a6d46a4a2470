import { getShop } from '../../../server/context';
import { endpoint } from '../../../server/endpoint';
import { getSystem } from '../../../server/page';
import { printOffcutLabels } from '../../../server/paper/offcut-labels';
import { pdfResponse } from '../../../server/paper/paper';
import { loadStock } from '../../../server/stock/load-stock';

export const GET = endpoint(async ({ shop, api }) => {
  const { locale, currency, timeZone } = getShop(shop);
  return pdfResponse(
    await printOffcutLabels(loadStock(shop), { locale, currency, timeZone, system: getSystem(api) }),
    'offcut labels.pdf',
  );
});
