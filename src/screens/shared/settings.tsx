// How measures are shown on this screen: the shop's locale and currency, and the chosen units.

import { createContext, useContext } from 'react';
import type { FormatSettings, MeasureSystem } from '../../core/units';
import type { ShopView } from '../../views/frame';

export type Settings = FormatSettings & { readonly shop: ShopView };
const SettingsContext = createContext<Settings | null>(null);
export const SettingsProvider = SettingsContext.Provider;

export function useSettings(): Settings {
  const settings = useContext(SettingsContext);
  if (!settings) throw new Error('Expected: a screen inside the frame. Actual: none');
  return settings;
}

export const toSettings = (shop: ShopView, system: MeasureSystem): Settings => ({
  locale: shop.locale,
  currency: shop.currency,
  timeZone: shop.timeZone,
  system,
  shop,
});

export function setCookie(name: string, value: string): void {
  document.cookie = `${name}=${value}; path=/; max-age=31536000; samesite=strict`;
}
