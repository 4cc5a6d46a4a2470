import {
  bookingInput,
  countInput,
  offcutInput,
  remarkInput,
  spoiledSpotsInput,
  widthInput,
} from '../../../../core/input';
import { endpoint, readId, readJson } from '../../../../server/endpoint';
import { notFound, parseInput } from '../../../../server/errors';
import {
  bookStock,
  countStock,
  markSpoiledSpots,
  readWidth,
  remarkLot,
  setAsideOffcut,
} from '../../../../server/stock/save-stock';

export const POST = endpoint(async ({ shop, api }) => {
  const id = readId(api, 'This lot');
  const body = await readJson(api.request);
  switch (api.params['move']) {
    case 'book':
      return bookStock(shop, id, parseInput(bookingInput, body));
    case 'count': {
      const { counted, note, widthMm } = parseInput(countInput, body);
      return countStock(shop, id, counted, note, widthMm);
    }
    case 'width':
      return readWidth(shop, id, parseInput(widthInput, body).widthMm);
    case 'remark':
      return remarkLot(shop, id, parseInput(remarkInput, body).remark);
    case 'spots':
      return markSpoiledSpots(shop, id, parseInput(spoiledSpotsInput, body));
    case 'offcut':
      return setAsideOffcut(shop, id, parseInput(offcutInput, body));
    default:
      throw notFound('This page');
  }
});
