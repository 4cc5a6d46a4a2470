import { endpoint } from '../../../../server/endpoint';
import { learnInThread } from '../../../../server/trials/learn-in-thread';

export const GET = endpoint(({ shop }) => learnInThread(shop));
