// The shop as a thread reads it: by a connection of its own to the same file, kept open while the thread is.

import { openShop, type ShopContext } from '../context';

/** Which shop, and what time it is there; it goes to a thread as it is. */
export type ShopInThread = { readonly file: string; readonly nowMs: number };

export const toThread = (shop: ShopContext): ShopInThread => ({ file: shop.db.$client.name, nowMs: shop.now() });

let open: { readonly file: string; readonly shop: ShopContext } | null = null;

/** The file is at this program's edition already: the server that asks has opened it. */
export function openInThread({ file, nowMs }: ShopInThread): ShopContext {
  if (open?.file !== file) open = { file, shop: openShop(file) };
  return { db: open.shop.db, now: () => nowMs };
}
