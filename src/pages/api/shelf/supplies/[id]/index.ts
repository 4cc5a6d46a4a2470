import { supplyInput } from '../../../../../core/input';
import { keepEndpoints } from '../../../../../server/endpoint';
import { archiveSupply, changeSupply } from '../../../../../server/stock/save-supplies';

export const { PUT, DELETE, POST } = keepEndpoints('This supply', supplyInput, {
  change: changeSupply,
  archive: archiveSupply,
});
