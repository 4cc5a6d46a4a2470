import { sideInput } from '../../../core/input/index';
import { createEndpoint } from '../../../server/create-once';
import { startSide } from '../../../server/trials/side-by-side';

export const POST = createEndpoint(sideInput, startSide);
