// What the server does without being asked, from the first request on.

import { measureAnewBehind } from './artwork/measure-anew';
import type { ShopContext } from './context';
import { watchFeed } from './feeds/watch-feed';

let begun = false;

/** Once for a server; the request doesn't wait for any of it. */
export function workBehindPages(openShop: () => ShopContext): void {
  if (begun) return;
  begun = true;
  watchFeed(openShop);
  measureAnewBehind(openShop);
}
