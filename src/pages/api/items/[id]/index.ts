import { itemInput } from '../../../../core/input';
import { endpoint, editEndpoints, readId } from '../../../../server/endpoint';
import { archiveItem, changeItem } from '../../../../server/items/save-item';
import { packSoon } from '../../../../server/items/pack-items';
import { loadItemEditor } from '../../../../server/items/load-items';

const WHAT = 'This item';
export const GET = endpoint(({ shop, api }) => loadItemEditor(shop, readId(api, WHAT), null).item);
export const { PUT, DELETE, POST } = editEndpoints(WHAT, itemInput, {
  change(shop, id, input, version) {
    const changed = changeItem(shop, id, input, version);
    packSoon(shop, id);
    return changed;
  },
  archive: archiveItem,
});
