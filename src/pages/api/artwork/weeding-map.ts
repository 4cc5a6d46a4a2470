import { FILE_LIMIT_BYTES } from '../../../core/artwork';
import { mapFacts } from '../../../core/input';
import { getShop } from '../../../server/context';
import { printInThread } from '../../../server/heavy/print-in-thread';
import { endpoint, readBody } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { readFacts } from '../../../server/artwork/save-artwork';
import { measureFile } from '../../../server/artwork/measure-file';
import { pdfResponse } from '../../../server/paper/paper';
import { getSystem } from '../../../server/page';

export const POST = endpoint(async ({ shop, api }) => {
  const facts = parseInput(mapFacts, readFacts(api.url.searchParams));
  const measured = await measureFile(await readBody(api.request, FILE_LIMIT_BYTES), { steps: facts.steps });
  const { locale, currency, timeZone } = getShop(shop);
  return pdfResponse(
    await printInThread('printWeedingMap', facts.name, measured, facts.layers, {
      locale,
      currency,
      timeZone,
      system: getSystem(api),
    }),
    `${facts.name} weeding map.pdf`,
  );
});
