import { cutSheetInput } from '../../../../core/input/index';
import { createEndpoint } from '../../../../server/create-once';

import { saveCutSheet } from '../../../../server/cut-sheets/save-cut-sheet';

export const POST = createEndpoint(cutSheetInput, saveCutSheet);
