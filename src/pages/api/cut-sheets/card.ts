import { loadCardInput } from '../../../core/input';
import { getShop } from '../../../server/context';
import { endpoint, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { getSystem } from '../../../server/page';
import { printLoadCard } from '../../../server/paper/load-card';
import { pdfResponse } from '../../../server/paper/paper';

export const POST = endpoint(async ({ shop, api }) => {
  const card = parseInput(loadCardInput, await readJson(api.request));
  const { locale, currency, timeZone } = getShop(shop);
  return pdfResponse(
    await printLoadCard(card, { locale, currency, timeZone, system: getSystem(api) }),
    `${card.vinylName} loading card.pdf`,
  );
});
