import { blankInput } from '../../../../core/input';
import { keepEndpoints } from '../../../../server/endpoint';
import { archiveBlank, changeBlank } from '../../../../server/stock/save-shelf';

export const { PUT, DELETE, POST } = keepEndpoints('This blank', blankInput, {
  change: changeBlank,
  archive: archiveBlank,
});
