import { ladderInput } from '../../../core/input';
import { createEndpoint } from '../../../server/create-once';
import { endpoint } from '../../../server/endpoint';
import { readNumber } from '../../../server/page';
import { startLadder } from '../../../server/trials/ladders';
import { prepareOwnFigure } from '../../../server/trials/own-figure';
import { loadTrials } from '../../../server/trials/view-ladder';

export const GET = endpoint(({ shop, api }) => loadTrials(shop, readNumber(api.url.searchParams.get('before'))));
export const POST = createEndpoint(ladderInput, startLadder, undefined, prepareOwnFigure);
