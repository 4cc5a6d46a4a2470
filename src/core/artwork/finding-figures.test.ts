import { expect, it } from 'vitest';
import {
  computeMendingWidth,
  DETAIL_FLOORS,
  haveOwnLengths,
  inspectArtwork,
  measureResolved,
  readSvg,
  resolveArtwork,
  type LayerMaterial,
} from './index';

/** A bar of 100 × 40 at 100 mm wide, with a stroke of 0.5 mm hanging on it. */
const BAR =
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 60"><path d="M0 0H100V40H50.5V60H50V40H0z"/></svg>';

function inspect(widthMm: number, material: LayerMaterial) {
  const read = readSvg(BAR);
  const resolved = read.ok ? resolveArtwork(read.value, { widthMm }) : read;
  if (!resolved.ok) throw new Error('not resolved');
  return inspectArtwork(resolved.value, measureResolved(resolved.value), { all: material });
}

it('the safe width shows the widths it is made of, and mends the finding', () => {
  const material = {
    floor: DETAIL_FLOORS.smooth,
    hasOwnFloor: false,
    takesLayers: true,
    usableMm: null,
    turnable: true,
  };
  const width = computeMendingWidth(
    inspect(100, material).find(({ kind }) => kind === 'thin-strokes')!,
    100,
  )!;
  const [now, floor, thinnest] = width.parts!.map((part) => part.value);
  expect(now).toBe(100);
  expect(thinnest).toBeCloseTo(0.5, 2);
  expect(width.value).toBe(Math.ceil((now! * floor!) / thinnest! - 0.1));
  expect(inspect(width.value, material).some(({ kind }) => kind === 'thin-strokes')).toBe(false);
});

it('the widest that fits is within what the vinyl takes', () => {
  const material = {
    floor: DETAIL_FLOORS['premium-adhesive'],
    hasOwnFloor: false,
    takesLayers: true,
    usableMm: 70,
    turnable: false,
  };
  const width = computeMendingWidth(
    inspect(100, material).find(({ kind }) => kind === 'too-wide')!,
    100,
  )!;
  expect(width.value).toBe(70);
  expect(inspect(width.value, material).some(({ kind }) => kind === 'too-wide')).toBe(false);
});

it('no width mends a doubled line', () =>
  expect(computeMendingWidth({ kind: 'doubled', layer: 'ink', count: 1, remedies: [] }, 100)).toBeNull());

it('steps with lengths of their own are told from those that scale with the drawing', () => {
  expect(
    haveOwnLengths([
      { kind: 'size', widthMm: 90, on: true },
      { kind: 'rotate', degrees: 90, on: true },
      { kind: 'open-paths', how: 'close', widthMm: 1, on: true },
    ]),
  ).toBe(false);
  expect(haveOwnLengths([{ kind: 'offset', layer: 'red', byMm: 3, copy: true, on: true }])).toBe(true);
  expect(haveOwnLengths([{ kind: 'offset', layer: 'red', byMm: 3, copy: true, on: false }])).toBe(false);
});
