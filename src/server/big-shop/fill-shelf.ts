// Thousands of vinyls, and what suppliers ask for them.

import { keyOf } from '../../core/stock/index';
import { minor } from '../../core/units/index';
import { putOffer } from '../../data/offer-store';
import { insertVinyl, loadVinyls, type StoredVinyl } from '../../data/shelf-store';
import { addSupplier } from '../buying/save-supplier';
import type { ShopContext } from '../context';
import type { Chance } from '../chance';

const MAKES = ['Alder', 'Brook', 'Cinder', 'Dunlin', 'Ember', 'Fenland', 'Gorse', 'Hazel', 'Islet', 'Juniper'];
const KINDS = ['Plain', 'Glow', 'Fleece', 'Shimmer', 'Stretch'];
const SHADES = ['slate', 'moss', 'brick', 'straw', 'plum', 'chalk', 'ink', 'rust', 'teal', 'sand'];
const SUPPLIERS = 20;
const SHIPPING = 690;
const LEAD_DAYS = 3;
/** By what share offers differ from the price of the shelf. */
const OFFER_SPREAD = 0.2;

export function fillShelf(
  shop: ShopContext,
  chance: Chance,
  wanted: { readonly vinyls: number; readonly offers: number },
): void {
  fillVinyls(shop, chance, wanted.vinyls);
  const vinyls = loadVinyls(shop.db);
  const supplierIds = Array.from(
    { length: SUPPLIERS },
    (_, index) =>
      addSupplier(shop, {
        name: `Wholesale house ${index + 1}`,
        email: '',
        shipping: SHIPPING,
        freeFrom: null,
        minimumOrder: null,
        leadDays: LEAD_DAYS + (index % 5),
      }).id,
  );
  for (let index = 0; index < wanted.offers; index++)
    addOffer(shop, chance, {
      supplierId: supplierIds[index % SUPPLIERS]!,
      vinyl: vinyls[index % vinyls.length]!,
      code: `A${100_000 + index}`,
    });
}

/** As those of the demo shop are, in other colours and at other prices. */
function fillVinyls(shop: ShopContext, chance: Chance, count: number): void {
  const models = loadVinyls(shop.db);
  for (let index = 0; index < count; index++) {
    const { id: _id, version: _version, archived: _archived, ...model } = chance.pick(models);
    const shade = SHADES[index % SHADES.length]!;
    const make = MAKES[Math.floor(index / SHADES.length) % MAKES.length]!;
    const line = 1 + Math.floor(index / (SHADES.length * MAKES.length));
    insertVinyl(shop.db, {
      ...model,
      name: `${make} ${KINDS[index % KINDS.length]!} ${line}, ${shade}`,
      colourName: shade,
      colourHex: `#${chance.whole(0x202020, 0xf0f0f0).toString(16)}`,
      rollPrice: minor(chance.whole(900, 12_000)),
    });
  }
}

function addOffer(
  shop: ShopContext,
  chance: Chance,
  { supplierId, vinyl, code }: { readonly supplierId: number; readonly vinyl: StoredVinyl; readonly code: string },
): void {
  const price = Math.round(vinyl.rollPrice * chance.between(1 - OFFER_SPREAD, 1 + OFFER_SPREAD));
  putOffer(
    shop.db,
    {
      supplierId,
      code,
      name: `${vinyl.name}, roll`,
      price: minor(price),
      parts: [
        {
          key: keyOf({ kind: 'vinyl', vinylId: vinyl.id }),
          label: vinyl.name,
          count: 1,
          widthMm: vinyl.rollWidthMm,
          lengthMm: vinyl.rollLengthMm,
        },
      ],
      breaks: [],
      takePay: null,
    },
    shop.now(),
  );
}
