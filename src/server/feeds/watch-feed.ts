// Looks into the folder of the order feed while the server runs, whether a page is open or not.

import { existsSync } from 'node:fs';
import type { ShopContext } from '../context';
import { log } from '../errors';
import { runForNobody } from '../heavy/asking';
import { feedFolderOf, lookIntoFolder } from './feed-folder';

const EACH_MS = 30_000;
let watching: NodeJS.Timeout | null = null;

/** From now on; asked again it goes on as it does. A shop without the folder is left alone. */
export function watchFeed(openShop: () => ShopContext): void {
  if (watching) return;
  watching = setInterval(() => void lookOnce(openShop), EACH_MS);
  // It keeps no server from ending.
  watching.unref();
}

/** A fault is told, and the next look is another try. */
async function lookOnce(openShop: () => ShopContext): Promise<void> {
  try {
    const shop = openShop();
    if (existsSync(feedFolderOf(shop))) await runForNobody(() => lookIntoFolder(shop));
  } catch (error) {
    log.error(error, 'the folder of the order feed could not be looked into');
  }
}
