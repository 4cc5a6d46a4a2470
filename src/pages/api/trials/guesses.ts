import { endpoint } from '../../../server/endpoint';
import { loadGuesses } from '../../../server/trials/load-guesses';

export const GET = endpoint(({ shop }) => loadGuesses(shop));
