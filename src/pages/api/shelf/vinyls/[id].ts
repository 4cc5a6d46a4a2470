import { vinylInput } from '../../../../core/input';
import { keepEndpoints } from '../../../../server/endpoint';
import { archiveVinyl, changeVinyl } from '../../../../server/stock/save-shelf';

export const { PUT, DELETE, POST } = keepEndpoints('This vinyl', vinylInput, {
  change: changeVinyl,
  archive: archiveVinyl,
});
