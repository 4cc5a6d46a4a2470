import { getShop } from '../../../server/context';
import { endpoint } from '../../../server/endpoint';
import { printInThread } from '../../../server/heavy/print-in-thread';
import { toThread } from '../../../server/heavy/shop-in-thread';
import { pdfResponse } from '../../../server/paper/paper';
import { loadProofPage } from '../../../server/orders/load-proof-page';

export const GET = endpoint(async ({ shop, api }) => {
  const token = api.params['token'] ?? '';
  const { title, number } = loadProofPage(shop, token);
  const { locale } = getShop(shop);
  return pdfResponse(await printInThread('printProof', toThread(shop), token, locale), `${title}, proof ${number}.pdf`);
});
