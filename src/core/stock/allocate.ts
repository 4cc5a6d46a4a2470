// Stock goes to who needs it first; what the others lack.

import { AMOUNT_NOISE } from '../units';

/** `amount` in the unit of the thing: pieces, or mm² of a strip. */
type Claim = { readonly key: string; readonly amount: number };

type Allocated<Need extends Claim> = {
  /** Claims that stock does not cover, in their order, with what each is short of. */
  readonly short: readonly { readonly need: Need; readonly short: number }[];
  /** What nobody claimed, by the key of the thing. */
  readonly left: ReadonlyMap<string, number>;
};

/** `needs`: those that come first before the others; `stock` by the key of the thing. */
export function allocate<Need extends Claim>(
  needs: readonly Need[],
  stock: ReadonlyMap<string, number>,
): Allocated<Need> {
  const left = new Map(stock);
  const short = needs.flatMap((need) => {
    const has = left.get(need.key) ?? 0;
    left.set(need.key, Math.max(0, has - need.amount));
    const missing = need.amount - has;
    return missing > AMOUNT_NOISE ? [{ need, short: missing }] : [];
  });
  return { short, left };
}
