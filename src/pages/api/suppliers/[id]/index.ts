import { supplierInput } from '../../../../core/input';
import { keepEndpoints } from '../../../../server/endpoint';
import { archiveSupplier, changeSupplier } from '../../../../server/buying/save-offers';

export const { PUT, DELETE, POST } = keepEndpoints('This supplier', supplierInput, {
  change: changeSupplier,
  archive: archiveSupplier,
});
