import { supplierInput } from '../../../../core/input';
import { editEndpoints } from '../../../../server/endpoint';
import { archiveSupplier, changeSupplier } from '../../../../server/buying/save-supplier';

export const { PUT, DELETE, POST } = editEndpoints('This supplier', supplierInput, {
  change: changeSupplier,
  archive: archiveSupplier,
});
