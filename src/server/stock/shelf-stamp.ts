// What is kept of the shelf is good for as long as this is the same text.

import { readShelfStamp } from '../../data/shelf-store';
import type { ShopContext } from '../context';
import { rememberUntilChange } from '../remember';

/** Another one whenever a vinyl, blank or supply changes. Read once after each change of the file: it counts all of them. */
export const readStampOfShelf = (shop: ShopContext): string =>
  rememberUntilChange(shop, 'stamp of the shelf', () => JSON.stringify(readShelfStamp(shop.db)));
