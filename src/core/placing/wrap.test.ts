import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeCutLayer, prepareFile, readCutLayer, type CutLayer } from '../artwork';
import { computeLength, distance, type Point } from '../geometry';
import { computeWrap } from '../materials';
import { bendLayer, bendPoint, planBend, spaceSlits, tellSag, type Bend } from './index';

const wall = (topMm: number, bottomMm: number, wallHeightMm: number, middleMm = wallHeightMm / 2): Bend =>
  planBend({ curve: { topMm, bottomMm, handleGapMm: 0 }, wallHeightMm, middleMm })!;

/** The point of the cone itself that a point of the flat development lies on; its apex is the centre of all arcs. */
function rollUp(
  { x, y }: Point,
  bend: Bend,
  sine: number,
): { readonly angle: number; readonly reach: number; readonly z: number } {
  const up = bend.sense * (bend.radius.value - bend.sense * y);
  const reach = Math.hypot(x, up);
  return { angle: Math.atan2(x, Math.abs(up)) / sine, reach, z: reach };
}

describe('bending for a tapered wall', () => {
  const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });

  it('a straight wall bends nothing', () =>
    expect(
      planBend({ curve: { topMm: 80, bottomMm: 80.3, handleGapMm: 0 }, wallHeightMm: 90, middleMm: 45 }),
    ).toBeNull());

  it('the arc of the wider edge is that of the cone laid flat', () => {
    const { radius } = computeWrap({ topMm: 90, bottomMm: 70, handleGapMm: 0 }, 100);
    expect(wall(90, 70, 100, 0).radius.value).toBeCloseTo(radius!.value, 9);
    // s = √(100² + 10²); s·90 ÷ 20.
    expect(radius!.value).toBeCloseTo((Math.sqrt(10_100) * 90) / 20, 9);
  });

  it('a level line of the drawing lies level on the cone, and its middle line keeps its length', () => {
    fc.assert(
      fc.property(
        mm(60, 100),
        mm(2, 25),
        mm(50, 120),
        fc.boolean(),
        mm(20, 150),
        mm(5, 40),
        (narrow, more, high, topIsWide, width, height) => {
          const [top, bottom] = topIsWide ? [narrow + more, narrow] : [narrow, narrow + more];
          const bend = wall(top, bottom, high);
          const size = { width, height };
          // sin of half the cone's angle: radius ÷ slant distance from its apex.
          const sine = (top + bottom) / 4 / bend.radius.value;
          const level = [0, 0.2, 0.5, 1].map((share) =>
            rollUp(bendPoint({ x: share * width, y: 3 }, size, bend), bend, sine),
          );
          for (const one of level) expect(one.z).toBeCloseTo(level[0]!.z, 6);
          const [from, to] = [0, width].map((x) => rollUp(bendPoint({ x, y: height / 2 }, size, bend), bend, sine));
          const round = (to!.angle - from!.angle) * ((top + bottom) / 4);
          expect(round).toBeCloseTo(width, 6);
          // An upright stays upright: the same angle above and below.
          const [above, below] = [0, height].map((y) => rollUp(bendPoint({ x: width / 4, y }, size, bend), bend, sine));
          expect(above!.angle).toBeCloseTo(below!.angle, 9);
          expect(
            distance(bendPoint({ x: 0, y: 0 }, size, bend), bendPoint({ x: 0, y: height }, size, bend)),
          ).toBeCloseTo(height, 9);
        },
      ),
    );
  });

  it('a strip on a cup that is wider above is cut with its ends down', () => {
    const size = { width: 150, height: 40 };
    const end = bendPoint({ x: 0, y: 20 }, size, wall(90, 70, 100));
    expect(end.y).toBeGreaterThan(0);
    expect(bendPoint({ x: 0, y: 20 }, size, wall(70, 90, 100)).y).toBeCloseTo(-end.y, 9);
    expect(tellSag(150, wall(90, 70, 100)).value).toBeCloseTo(end.y, 9);
  });

  it('the edge towards the wider end of the wall is the longer one', () => {
    const size = { width: 150, height: 40 };
    const across = (bend: Bend, y: number) =>
      distance(bendPoint({ x: 0, y }, size, bend), bendPoint({ x: 150, y }, size, bend));
    expect(across(wall(90, 70, 100), 0)).toBeGreaterThan(across(wall(90, 70, 100), 40));
    expect(across(wall(70, 90, 100), 0)).toBeLessThan(across(wall(70, 90, 100), 40));
  });

  it('between two slits tape is off by half a millimetre', () => {
    const bend = wall(90, 70, 100);
    const half = spaceSlits(bend).value / 2;
    expect(bend.radius.value - Math.sqrt(bend.radius.value ** 2 - half ** 2)).toBeCloseTo(0.5, 2);
  });
});

describe('a layer on its arc', () => {
  const SVG =
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 160 40"><path fill="#aa0000" d="M0 0H160V40H0z"/><path fill="#0000aa" d="M40 10H60V30H40z"/></svg>';
  const read = (layerIndex: number, mirrored: boolean): CutLayer =>
    readCutLayer(SVG, { steps: [], savedWidthMm: 160, widthMm: 120, layerIndex, mirrored })!;
  const bend = wall(90, 70, 100);

  it('is read at the width that is wanted, as the cut sheet reads it', () => {
    const prepared = prepareFile(SVG, [{ kind: 'size', widthMm: 120, on: true }], 120);
    if (!prepared.ok) throw new Error('not read');
    const { resolved } = prepared.value;
    const straight = makeCutLayer(resolved, resolved.layers[1]!, { name: '', mirrored: false });
    const own = read(1, false);
    expect([own.widthMm, own.heightMm]).toEqual([120, 30]);
    expect(own.paths[0]!.points).toHaveLength(straight.paths[0]!.points.length);
    own.paths[0]!.points.forEach((point, index) => {
      expect(distance(point, straight.paths[0]!.points[index]!)).toBeLessThan(0.01);
    });
  });

  it('both layers stay in register, and nothing is left of or above the corner', () => {
    const [ground, mark] = [0, 1].map((index) => bendLayer(read(index, false), bend));
    expect([mark!.widthMm, mark!.heightMm]).toEqual([ground!.widthMm, ground!.heightMm]);
    const points = ground!.paths.flatMap((path) => path.points);
    expect(Math.min(...points.map(({ x }) => x))).toBeCloseTo(0, 6);
    expect(Math.min(...points.map(({ y }) => y))).toBeCloseTo(0, 6);
    expect(Math.max(...points.map(({ x }) => x))).toBeCloseTo(ground!.widthMm, 6);
  });

  it('its long edges are as long as the arcs they lie on', () => {
    const [outer] = bendLayer(read(0, false), bend).paths;
    const angle = 120 / bend.radius.value;
    const arcs = angle * (bend.radius.value + 15) + angle * (bend.radius.value - 15);
    expect(computeLength(outer!.points, true)).toBeCloseTo(arcs + 2 * 30, 1);
  });

  it('mirrored, it is the mirror image of itself', () => {
    const [plain, mirrored] = [false, true].map((flag) => bendLayer(read(1, flag), bend));
    const xs = (layer: CutLayer) => layer.paths.flatMap((path) => path.points.map(({ x }) => x));
    expect(Math.min(...xs(mirrored!))).toBeCloseTo(plain!.widthMm - Math.max(...xs(plain!)), 6);
  });
});
