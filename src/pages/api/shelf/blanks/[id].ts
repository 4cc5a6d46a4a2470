import { blankInput } from '../../../../core/input';
import { editEndpoints } from '../../../../server/endpoint';
import { archiveBlank, changeBlank } from '../../../../server/stock/save-shelf';

export const { PUT, DELETE, POST } = editEndpoints('This blank', blankInput, {
  change: changeBlank,
  archive: archiveBlank,
});
