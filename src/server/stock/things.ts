// What the keys of stock, offers and needs stand for.

import { keyOf, parseKey, type Supply } from '../../core/stock';
import { loadBlanks, loadVinyls } from '../../data/shelf-store';
import { loadSupplies } from '../../data/supply-store';
import type { ThingView } from '../../views/stock';
import type { ShopContext } from '../context';
import { ShopError } from '../errors';
import { readStampOfShelf } from './shelf-stamp';
import { SUPPLY_TINT, UNCHOSEN } from '../../theme/tokens';

type Known = {
  readonly stamp: string;
  readonly now: readonly ThingView[];
  readonly byKey: ReadonlyMap<string, ThingView>;
};
const known = new WeakMap<ShopContext['db'], Known>();

/** Kept until a vinyl, blank or supply changes: every list of stock and offers asks for it. */
function readThings(shop: ShopContext): Known {
  const stamp = readStampOfShelf(shop);
  const before = known.get(shop.db);
  if (before?.stamp === stamp) return before;
  const things = {
    stamp,
    now: loadThings(shop, false),
    byKey: new Map(loadThings(shop, true).map((thing) => [thing.key, thing])),
  };
  known.set(shop.db, things);
  return things;
}

/** Everything that can lie on the shelf now, vinyls first. */
export const listThings = (shop: ShopContext): readonly ThingView[] => readThings(shop).now;

function loadThings(shop: ShopContext, archived: boolean): readonly ThingView[] {
  return [
    ...loadVinyls(shop.db, { archived }).map((vinyl): ThingView => ({
      key: keyOf({ kind: 'vinyl', vinylId: vinyl.id }),
      name: vinyl.name,
      colourHex: vinyl.colourHex,
      kind: 'vinyl',
      unit: 'mm²',
      rollWidthMm: vinyl.rollWidthMm,
    })),
    ...loadBlanks(shop.db, { archived }).flatMap((blank) =>
      blank.sizes.flatMap((size) =>
        blank.colours.map((colour): ThingView => ({
          key: keyOf({ kind: 'blank', blankId: blank.id, sizeName: size.name, colourName: colour.name }),
          name: `${blank.name}, ${size.name}, ${colour.name}`,
          colourHex: colour.hex,
          kind: 'blank',
          unit: 'count',
          rollWidthMm: null,
        })),
      ),
    ),
    ...loadSupplies(shop.db, { archived }).map(toSupplyThing),
  ];
}

export const toSupplyThing = (supply: Pick<Supply, 'id' | 'name'>): ThingView => ({
  key: keyOf({ kind: 'supply', supplyId: supply.id }),
  name: supply.name,
  colourHex: SUPPLY_TINT,
  kind: 'supply',
  unit: 'count',
  rollWidthMm: null,
});

/** By key, things taken off the shelf too; what is gone altogether is called so. */
export function nameThings(shop: ShopContext): (key: string) => ThingView {
  const { byKey } = readThings(shop);
  return (key) =>
    byKey.get(key) ?? {
      key,
      name: 'something archived',
      colourHex: UNCHOSEN.grey,
      kind: parseKey(key)?.kind ?? 'blank',
      unit: key.startsWith('vinyl:') ? 'mm²' : 'count',
      rollWidthMm: null,
    };
}

/** @throws ShopError where no such thing is on the shelf. */
export function requireThing(shop: ShopContext, key: string): ThingView {
  const thing = listThings(shop).find((candidate) => candidate.key === key);
  if (!thing) throw new ShopError('invalid', { reason: 'thing-archived' }, 'key');
  return thing;
}
