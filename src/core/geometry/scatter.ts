// Going through many things in an order that has nothing to do with how they lie.

/** Every index below `count` once, in a fixed scattered order: thin places are met early, whichever way the edges run. */
export function scatter(count: number): Uint32Array {
  let stride = Math.max(1, Math.floor(count * 0.618)) | 1;
  while (greatestCommonDivisor(stride, count) > 1) stride += 2;
  const order = new Uint32Array(count);
  for (let done = 0, at = 0; done < count; done++, at = (at + stride) % count) order[done] = at;
  return order;
}

const greatestCommonDivisor = (a: number, b: number): number => (b === 0 ? a : greatestCommonDivisor(b, a % b));
