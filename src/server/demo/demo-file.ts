// What stands in the plain files of the demo shop.

import type { Lettering } from '../../core/artwork/index';
import type { StoredPacking } from '../../core/costing/index';
import type { ShopFigures } from '../../core/materials/index';
import type { Placing } from '../../core/placing/index';
import type { DemoOrder } from './seed-demo-orders';

export type DemoPlacement = {
  artwork?: string;
  place: string;
  widthMm?: number;
  /** A customer's own text instead of a drawing; what is left out is as usual. */
  lettering?: Partial<Lettering> & Pick<Lettering, 'sample'>;
  widths?: Record<string, number>;
  placing?: Placing;
  vinyls: string[];
};
export type DemoPacking = Omit<StoredPacking, 'artworkId' | 'artworkVersion'> & { artwork: string };
export type DemoFile = {
  identity: { name: string; address: string; contact: string; currency: string; locale: string };
  figures: Partial<ShopFigures>;
  vinyls: unknown[];
  blanks: {
    name: string;
    supplier: string;
    fabric: string;
    heating: string;
    /** Name, price, and how wide and long it is laid flat. */
    sizes: [string, number, number?, number?][];
    colours: [string, string][];
  }[];
  channels: { name: string }[];
  looks: {
    vinyl: string;
    fabric: string;
    kind: string;
    pieces: number;
    washes: number;
    daysAgo: number;
    note: string;
  }[];
  artworks: { file: string; name: string; widthMm: number; layers: string[]; vinyls: string[] }[];
  items: (DemoPlacement & {
    key: string;
    name: string;
    blank: string;
    size: string;
    colour: string;
    quantity: number;
    price: number;
    artworkPrice?: number;
    artworkRun?: number;
    more?: DemoPlacement[];
    options?: (DemoPlacement & { label: string; surcharge: number })[];
    variants?: {
      sizeName: string | null;
      colourName: string | null;
      price: number | null;
      swaps: [from: string, to: string][];
    }[];
    details?: object;
  })[];
  orders: DemoOrder[];
  /** Roll prices that went up a few days ago. */
  dearerVinyls: Record<string, number>;
};
