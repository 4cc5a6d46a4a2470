// Parts of an order that were pressed or stuck on, and since when.

import { listLive, type RestingPart } from '../../core/orders/index';
import { getKindFacts, type Vinyl } from '../../core/materials/index';
import type { ReadOrder } from './read-orders';

export function listRestingPieces({ parts }: ReadOrder, vinyls: readonly Vinyl[]): readonly RestingPart[] {
  const kinds = new Map(vinyls.map(({ id, kind }) => [id, kind]));
  return parts.flatMap((part): readonly RestingPart[] => {
    const kind = kinds.get(part.vinylId);
    const pressed = listLive(part.events).findLast((event) => event.kind === 'pressed');
    if (!kind || !pressed || (part.state !== 'pressed' && part.state !== 'checked')) return [];
    return [{ kind: getKindFacts(kind).family === 'adhesive' ? 'cure' : 'rest', doneAtMs: pressed.atMs }];
  });
}
