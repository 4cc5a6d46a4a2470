import { laterInput } from '../../../core/input/index';
import { createEndpoint } from '../../../server/create-once';
import { endpoint } from '../../../server/endpoint';
import { readNumber } from '../../../server/page';
import { loadLaterOf, planLater } from '../../../server/trials/later-looks';

export const GET = endpoint(({ shop, api }) => {
  const ask = (name: string) => readNumber(api.url.searchParams.get(name));
  return loadLaterOf(shop, { orderId: ask('order'), candidateId: ask('candidate') });
});
export const POST = createEndpoint(laterInput, planLater);
