import { blankInput } from '../../../../core/input';
import { createEndpoint } from '../../../../server/create-once';

import { addBlank } from '../../../../server/stock/save-shelf';

export const POST = createEndpoint(blankInput, addBlank);
