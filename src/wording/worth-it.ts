// Whether something is worth buying, in one sentence.

import { plural } from './plural';
/** From how many pieces on one offer costs less to buy than another; null where it never does. */
export function describeCheaperFrom(
  first: string,
  second: string,
  firstFrom: number | null,
  secondFrom: number | null,
): string {
  if (firstFrom === 1) return `${first} is cheaper to buy for any number.`;
  if (firstFrom !== null) return `From ${plural(firstFrom, 'piece')} on ${first} beats ${second}.`;
  return secondFrom === 1
    ? `${second} is cheaper to buy for any number.`
    : secondFrom !== null
      ? `From ${plural(secondFrom, 'piece')} on ${second} beats ${first}.`
      : `Neither ${first} nor ${second} stays the cheaper: it turns with every pack.`;
}

export function describeTool(from: number | null, life: number | null): string {
  if (from !== null) return `The tool has paid for itself after ${plural(from, 'piece')}.`;
  return life === null
    ? 'The tool saves nothing: don’t buy it for this.'
    : `Don’t buy it for this: it is worn out after ${plural(life, 'piece')}, before it has paid for itself.`;
}

/** `from`: the smallest number at which no mat is cheaper; null for none. */
export function describeMat(withoutNow: boolean, quantity: number, from: number | null): string {
  if (withoutNow) return `Cut ${quantity} without a mat.`;
  return from === null
    ? 'Keep the mat: without it the vinyl costs more at any number.'
    : `Keep the mat for ${quantity}; without it it is cheaper from ${from} at once.`;
}
