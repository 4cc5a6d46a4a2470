import { supplyInput } from '../../../../../core/input';
import { editEndpoints } from '../../../../../server/endpoint';
import { archiveSupply, changeSupply } from '../../../../../server/stock/save-supplies';

export const { PUT, DELETE, POST } = editEndpoints('This supply', supplyInput, {
  change: changeSupply,
  archive: archiveSupply,
});
