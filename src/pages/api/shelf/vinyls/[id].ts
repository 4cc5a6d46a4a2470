import { vinylInput } from '../../../../core/input';
import { editEndpoints } from '../../../../server/endpoint';
import { archiveVinyl, changeVinyl } from '../../../../server/stock/save-shelf';

export const { PUT, DELETE, POST } = editEndpoints('This vinyl', vinylInput, {
  change: changeVinyl,
  archive: archiveVinyl,
});
