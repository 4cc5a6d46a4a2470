import { endpoint } from '../../server/endpoint';
import { ShopError } from '../../server/errors';

export const ALL = endpoint(() => {
  throw new ShopError(
    'not-found',
    'There is nothing at this address. The addresses that answer are listed in docs/architecture.md.',
  );
});
