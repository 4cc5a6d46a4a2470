import { vinylInput } from '../../../../core/input';
import { createEndpoint } from '../../../../server/create-once';

import { addVinyl } from '../../../../server/stock/save-shelf';

export const POST = createEndpoint(vinylInput, addVinyl);
