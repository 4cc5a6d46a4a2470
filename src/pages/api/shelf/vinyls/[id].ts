import { vinylInput } from '../../../../core/input';
import { editEndpoints } from '../../../../server/endpoint';
import { packItemsUsing } from '../../../../server/items/pack-items';
import { archiveVinyl, changeVinyl } from '../../../../server/stock/save-shelf';

export const { PUT, DELETE, POST } = editEndpoints('This vinyl', vinylInput, {
  change(shop, id, input, version) {
    const changed = changeVinyl(shop, id, input, version);
    packItemsUsing(shop, { vinylId: id });
    return changed;
  },
  archive: archiveVinyl,
});
