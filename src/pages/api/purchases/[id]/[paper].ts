import { viewPurchase, writePurchaseCsv } from '../../../../server/buying/purchases';
import { getShop } from '../../../../server/context';
import { printInThread } from '../../../../server/heavy/print-in-thread';
import { endpoint, readId } from '../../../../server/endpoint';
import { notFound } from '../../../../server/errors';
import { getSystem } from '../../../../server/page';
import { pdfResponse } from '../../../../server/paper/paper';
import { writePurchaseMail } from '../../../../server/paper/purchase-order';

export const GET = endpoint(async ({ shop, api }) => {
  const purchase = viewPurchase(shop, readId(api, 'This purchase'));
  const { name, locale, currency, timeZone } = getShop(shop);
  const file = (body: BodyInit, type: string, end: string) =>
    new Response(body, {
      headers: {
        'Content-Type': type,
        'Content-Disposition': `attachment; filename="order-${purchase.id}.${end}"`,
        'Cache-Control': 'no-store',
      },
    });
  switch (api.params['paper']) {
    case 'csv':
      return file(`\uFEFF${writePurchaseCsv(purchase, getShop(shop).currency)}`, 'text/csv; charset=utf-8', 'csv');
    case 'pdf':
      return pdfResponse(
        await printInThread('printPurchase', purchase, name, { locale, currency, timeZone, system: getSystem(api) }),
        `order ${purchase.id}.pdf`,
      );
    case 'eml':
      return file(
        await writePurchaseMail(purchase, writePurchaseCsv(purchase, getShop(shop).currency), name),
        'message/rfc822',
        'eml',
      );
    default:
      throw notFound('This paper');
  }
});
