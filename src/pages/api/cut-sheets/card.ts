import { loadCardInput } from '../../../core/input';
import { getShop } from '../../../server/context';
import { printInThread } from '../../../server/heavy/print-in-thread';
import { endpoint, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { getSystem } from '../../../server/page';
import { pdfResponse } from '../../../server/paper/paper';

export const POST = endpoint(async ({ shop, api }) => {
  const card = parseInput(loadCardInput, await readJson(api.request));
  const { locale, currency, timeZone } = getShop(shop);
  return pdfResponse(
    await printInThread('printLoadCard', card, { locale, currency, timeZone, system: getSystem(api) }),
    `${card.vinylName} loading card.pdf`,
  );
});
