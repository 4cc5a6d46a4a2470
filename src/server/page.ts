// How a page is loaded: its frame, its data, and a real 404 when what it asks for is not there.

import type { AstroGlobal } from 'astro';
import type { MeasureSystem } from '../core/units';
import type { FrameView } from '../views/frame';
import { getContext, type ShopContext } from './context';
import { ShopError } from './errors';
import { loadFrame } from './shop/load-frame';

export type LoadedPage<T> =
  | { readonly frame: FrameView; readonly view: T; readonly missing: null }
  | { readonly frame: FrameView; readonly view: null; readonly missing: string };

/** The frame and what `load` gives; what is not there becomes `missing`, told in words, with status 404. */
export function loadPage<T>(astro: AstroGlobal, load: (shop: ShopContext) => T): LoadedPage<T> {
  const shop = getContext();
  // After what is loaded: a list may have kept a cost that was missing.
  const frame = () => loadFrame(shop, getSystem(astro));
  try {
    const view = load(shop);
    return { frame: frame(), view, missing: null };
  } catch (error) {
    if (!(error instanceof ShopError && error.code === 'not-found')) throw error;
    astro.response.status = 404;
    return { frame: frame(), view: null, missing: error.message };
  }
}

/** The units that this browser has chosen. */
export const getSystem = ({ cookies }: Pick<AstroGlobal, 'cookies'>): MeasureSystem =>
  cookies.get('units')?.value === 'inch' ? 'inch' : 'metric';

/** A positive whole number of the address, or null. */
export function readNumber(text: string | null | undefined): number | null {
  return text && /^[1-9]\d{0,14}$/.test(text) ? Number(text) : null;
}
