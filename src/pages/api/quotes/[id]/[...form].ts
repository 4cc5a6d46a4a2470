import { getShop } from '../../../../server/context';
import { printInThread } from '../../../../server/heavy/print-in-thread';
import { endpoint, readId } from '../../../../server/endpoint';
import { notFound } from '../../../../server/errors';
import { getSystem } from '../../../../server/page';
import { pdfResponse } from '../../../../server/paper/paper';
import { writeQuoteText } from '../../../../server/paper/quote';
import { archiveQuote, requireQuote } from '../../../../server/orders/quick-quote';

const WHAT = 'This quote';
export const GET = endpoint(async ({ shop, api }) => {
  const quote = requireQuote(shop, readId(api, WHAT));
  const { name, locale, currency, timeZone } = getShop(shop);
  const settings = { locale, currency, timeZone, system: getSystem(api) };
  switch (api.params['form']) {
    case 'pdf':
      return pdfResponse(await printInThread('printQuote', quote, name, settings), `quote ${quote.id}.pdf`);
    case 'text':
      return { text: writeQuoteText(quote, name, settings) };
    default:
      throw notFound('This page');
  }
});
export const DELETE = endpoint(({ shop, api }) => archiveQuote(shop, readId(api, WHAT), true));
export const POST = endpoint(({ shop, api }) => archiveQuote(shop, readId(api, WHAT), false));
