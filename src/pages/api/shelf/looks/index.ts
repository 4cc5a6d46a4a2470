import { lookInput } from '../../../../core/input';
import { createEndpoint } from '../../../../server/create-once';
import { addLook } from '../../../../server/stock/recipes';

export const POST = createEndpoint(lookInput, addLook);
