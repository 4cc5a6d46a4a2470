import { presetInput } from '../../../core/input';
import { createEndpoint } from '../../../server/create-once';
import { savePreset } from '../../../server/stock/recipes';

export const POST = createEndpoint(presetInput, savePreset);
