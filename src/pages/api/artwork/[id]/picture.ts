import { endpoint, readId } from '../../../../server/endpoint';
import { answerPicture } from '../../../../server/artwork/picture-file';

export const GET = endpoint(({ shop, api }) => answerPicture(shop, readId(api, 'This artwork'), api.request));
