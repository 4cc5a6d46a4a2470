// Parts of an order that were pressed or stuck on, and since when.

import { listLive, type RestingPart } from '../../core/orders/index';
import { getKindFacts, type Vinyl } from '../../core/materials/index';
import { isDecal } from '../../core/pressing/index';
import { findBlanks } from '../../data/shelf-store';
import type { ShopContext } from '../context';
import type { ReadOrder } from './read-orders';

/** A decal cures whatever it is made of: what sticks it on is an adhesive. */
export function listRestingParts(
  shop: ShopContext,
  { order, parts }: ReadOrder,
  vinyls: readonly Pick<Vinyl, 'id' | 'kind'>[],
): readonly RestingPart[] {
  const kinds = new Map(vinyls.map(({ id, kind }) => [id, kind]));
  const decals = findDecalLines(shop, order.lines);
  return parts.flatMap((part): readonly RestingPart[] => {
    const kind = kinds.get(part.vinylId);
    const pressed = listLive(part.events).findLast((event) => event.kind === 'pressed');
    if (!kind || !pressed || (part.state !== 'pressed' && part.state !== 'checked')) return [];
    const cures = decals.has(part.lineId) || getKindFacts(kind).family === 'adhesive';
    return [{ kind: cures ? 'cure' : 'rest', doneAtMs: pressed.atMs }];
  });
}

/** Lines whose vinyl is ironed onto a film first, as they were ordered. */
function findDecalLines({ db }: ShopContext, lines: ReadOrder['order']['lines']): ReadonlySet<number> {
  const made = lines.flatMap(({ id, made: own }) =>
    own?.recipe ? [{ id, recipe: own.recipe, blankId: own.blankId }] : [],
  );
  const blanks = new Map(
    findBlanks(db, [...new Set(made.map(({ blankId }) => blankId))]).map((blank) => [blank.id, blank]),
  );
  return new Set(
    made.flatMap(({ id, recipe, blankId }) => {
      const blank = blanks.get(blankId);
      return blank && isDecal(recipe, blank) ? [id] : [];
    }),
  );
}
