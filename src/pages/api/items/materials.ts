import { endpoint } from '../../../server/endpoint';
import { loadItemMaterials } from '../../../server/items/load-items';
import { readNumber } from '../../../server/page';

/** So many of a kind are given at once. */
const MOST = 50;

export const GET = endpoint(({ shop, api }) => {
  const ids = (name: string) =>
    api.url.searchParams
      .getAll(name)
      .slice(0, MOST)
      .flatMap((text) => readNumber(text) ?? []);
  return loadItemMaterials(shop, { artworkIds: ids('artwork'), vinylIds: ids('vinyl'), blankIds: ids('blank') });
});
