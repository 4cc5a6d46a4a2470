import { endpoint } from '../../server/endpoint';
import { findNames, NAMED_KINDS } from '../../server/shop/find-things';

export const GET = endpoint(({ shop, api: { url } }) => {
  const kind = NAMED_KINDS.find((name) => name === url.searchParams.get('kind')) ?? 'vinyl';
  return findNames(shop, kind, url.searchParams.get('q') ?? '');
});
