import { endpoint } from '../../server/endpoint';
import { ShopError } from '../../server/errors';

export const ALL = endpoint(() => {
  throw new ShopError('not-found', { reason: 'no-such-address' });
});
