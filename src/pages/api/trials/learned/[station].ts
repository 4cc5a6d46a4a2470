import { endpoint } from '../../../../server/endpoint';
import { notFound } from '../../../../server/errors';
import { learnInThread } from '../../../../server/trials/learn-in-thread';
import { putLearnedBack, takeLearned } from '../../../../server/trials/take-learned';

const STATIONS = ['weed', 'cut', 'press'] as const;

/** POST takes what is learned into the shop's figures; DELETE puts back what was there before. */
export const POST = endpoint(async ({ shop, api }) => {
  const learned = (await learnInThread(shop)).stations.find(({ station }) => station === api.params['station']);
  if (!learned) throw notFound('This station');
  takeLearned(shop, learned);
});
export const DELETE = endpoint(({ shop, api }) => {
  const station = STATIONS.find((one) => one === api.params['station']);
  if (!station) throw notFound('This station');
  putLearnedBack(shop, station);
});
