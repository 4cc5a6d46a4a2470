// A picture's pixels as a few flat colours: which colour each pixel is, or that it is empty ground.

import quantize from 'quantize';

/** RGBA, 4 bytes a pixel, row by row from the top. */
export type Pixels = { readonly width: number; readonly height: number; readonly data: Uint8ClampedArray | Uint8Array };
export type FlatPicture = {
  readonly width: number;
  readonly height: number;
  /** Index into `colours`, or EMPTY. */
  readonly labels: Uint8Array;
  readonly colours: readonly string[];
};

/** The label of pixels that show nothing. */
export const EMPTY = 255;
/** Less opaque than this, a pixel counts as ground. */
const OPAQUE_FROM = 128;
const ROUNDS = 6;
const SAMPLED_AT_MOST = 40_000;

type Colour = readonly [number, number, number];

/**
 * At most `count` colours (1 to 8): median cut for a start, then each pixel to its nearest and each colour to its
 * pixels' mean.
 */
export function flattenColours({ width, height, data }: Pixels, count: number): FlatPicture {
  const total = width * height;
  const step = Math.max(1, Math.floor(total / SAMPLED_AT_MOST));
  const sample: Colour[] = [];
  for (let pixel = 0; pixel < total; pixel += step)
    if (data[pixel * 4 + 3]! >= OPAQUE_FROM)
      sample.push([data[pixel * 4]!, data[pixel * 4 + 1]!, data[pixel * 4 + 2]!]);
  let colours = startColours(sample, count);
  for (let round = 0; round < ROUNDS; round++) {
    const sums = colours.map(() => [0, 0, 0, 0]);
    for (const colour of sample) {
      const sum = sums[findNearest(colours, colour)]!;
      colour.forEach((value, channel) => (sum[channel] = sum[channel]! + value));
      sum[3] = sum[3]! + 1;
    }
    colours = colours.map((colour, index): Colour =>
      sums[index]![3]! > 0
        ? [
            sums[index]![0]! / sums[index]![3]!,
            sums[index]![1]! / sums[index]![3]!,
            sums[index]![2]! / sums[index]![3]!,
          ]
        : colour,
    );
  }
  const labels = new Uint8Array(total).fill(EMPTY);
  for (let pixel = 0; pixel < total; pixel++)
    if (data[pixel * 4 + 3]! >= OPAQUE_FROM)
      labels[pixel] = findNearest(colours, [data[pixel * 4]!, data[pixel * 4 + 1]!, data[pixel * 4 + 2]!]);
  return { width, height, labels, colours: colours.map(toHex) };
}

function startColours(sample: readonly Colour[], count: number): Colour[] {
  const different = [...new Map(sample.map((colour) => [colour.join(','), colour])).values()];
  if (different.length <= count) return different;
  if (count === 1)
    return [
      [0, 1, 2].map(
        (channel) => sample.reduce((sum, colour) => sum + colour[channel]!, 0) / sample.length,
      ) as unknown as Colour,
    ];
  const palette = quantize(
    sample.map((colour) => [...colour] as [number, number, number]),
    count,
  );
  return palette ? palette.palette().slice(0, count) : different.slice(0, count);
}

function findNearest(colours: readonly Colour[], [r, g, b]: Colour): number {
  let best = 0,
    bestDistance = Infinity;
  for (let index = 0; index < colours.length; index++) {
    const [x, y, z] = colours[index]!;
    // Weighted as the eye sees: green most, blue least (a plain luma weighting).
    const distance = 3 * (r - x) ** 2 + 6 * (g - y) ** 2 + (b - z) ** 2;
    if (distance < bestDistance) [best, bestDistance] = [index, distance];
  }
  return best;
}

/** Median cut can give a colour a shade beyond white where no pixel has it. */
const toHex = (colour: Colour): string =>
  `#${colour
    .map((value) =>
      Math.min(255, Math.max(0, Math.round(value)))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;

/** Patches of one colour smaller than `underPixels` take the colour that surrounds them most. */
export function removeSpeckles(picture: FlatPicture, underPixels: number): FlatPicture {
  if (underPixels <= 1) return picture;
  const { width, height } = picture;
  const labels = picture.labels.slice();
  const seen = new Uint8Array(labels.length);
  for (let start = 0; start < labels.length; start++) {
    if (seen[start]) continue;
    const own = labels[start]!;
    const patch = [start];
    const around = new Map<number, number>();
    seen[start] = 1;
    for (let at = 0; at < patch.length; at++) {
      const pixel = patch[at]!;
      const x = pixel % width;
      for (const next of [
        x > 0 ? pixel - 1 : -1,
        x < width - 1 ? pixel + 1 : -1,
        pixel - width,
        pixel + width < width * height ? pixel + width : -1,
      ]) {
        if (next < 0) continue;
        const label = labels[next]!;
        if (label !== own) around.set(label, (around.get(label) ?? 0) + 1);
        else if (!seen[next]) {
          seen[next] = 1;
          patch.push(next);
        }
      }
    }
    if (patch.length >= underPixels || around.size === 0) continue;
    const [surrounding] = [...around].sort((a, b) => b[1] - a[1])[0]!;
    for (const pixel of patch) labels[pixel] = surrounding;
  }
  return { ...picture, labels };
}

/** The colour that most of the picture's rim has: what it was drawn on. */
export function findGround({ width, height, labels }: FlatPicture): number {
  const counts = new Map<number, number>();
  const count = (pixel: number) => counts.set(labels[pixel]!, (counts.get(labels[pixel]!) ?? 0) + 1);
  for (let x = 0; x < width; x++) [x, (height - 1) * width + x].forEach(count);
  for (let y = 0; y < height; y++) [y * width, y * width + width - 1].forEach(count);
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? EMPTY;
}
