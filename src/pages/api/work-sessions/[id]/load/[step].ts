import { cutStepInput } from '../../../../../core/input/index';
import { endpoint, readId, readJson } from '../../../../../server/endpoint';
import { parseInput } from '../../../../../server/errors';
import { takeCutStep } from '../../../../../server/cutting/take-cut-step';

export const POST = endpoint(async ({ shop, api }) =>
  takeCutStep(
    shop,
    readId(api, 'This timer'),
    api.params['step'],
    parseInput(cutStepInput, await readJson(api.request)),
  ),
);
