import { endpoint, readId } from '../../../../server/endpoint';
import { notFound } from '../../../../server/errors';
import { closeSide } from '../../../../server/trials/side-by-side';
import { loadSide } from '../../../../server/trials/view-side';

const STEPS = { close: true, 'go-on': false } as const;

export const POST = endpoint(({ shop, api }) => {
  const id = readId(api, 'This trial');
  const step = api.params['step'] as keyof typeof STEPS;
  if (!(step in STEPS)) throw notFound('This step');
  closeSide(shop, id, STEPS[step]);
  return loadSide(shop, id);
});
