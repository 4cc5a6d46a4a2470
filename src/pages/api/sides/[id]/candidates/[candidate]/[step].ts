import { sideClockInput, sideSheetInput } from '../../../../../../core/input/index';
import { endpoint, readId, readJsonIfAny } from '../../../../../../server/endpoint';
import { notFound, parseInput } from '../../../../../../server/errors';
import { fillSide, reopenSheet, runSideClock } from '../../../../../../server/trials/side-by-side';
import { loadSide } from '../../../../../../server/trials/view-side';

export const POST = endpoint(async ({ shop, api }) => {
  const trialId = readId(api, 'This trial');
  const id = Number(api.params['candidate']);
  const body = await readJsonIfAny(api.request);
  switch (api.params['step']) {
    case 'clock':
      runSideClock(shop, trialId, id, parseInput(sideClockInput, body).clock);
      break;
    case 'sheet':
      fillSide(shop, trialId, id, { ...parseInput(sideSheetInput, body) });
      break;
    case 'open':
      reopenSheet(shop, trialId, id);
      break;
    default:
      throw notFound('This step');
  }
  return loadSide(shop, trialId);
});
