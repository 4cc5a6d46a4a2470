// Where on a blank something can be put: how large, how far from what a ruler finds, round what it curves, and what
// lies in the way.

import { figure, POINT_NOISE_MM, type Figure } from '../units';

/** What a position is measured from. */
export const DATUMS = ['neckline', 'collar', 'shoulder seam', 'side seam', 'top edge', 'hem', 'rim', 'point'] as const;
export type Datum = (typeof DATUMS)[number];
export const OBSTACLE_KINDS = ['zip', 'seam', 'pocket', 'handle', 'button', 'rib', 'drawstring'] as const;
export type ObstacleKind = (typeof OBSTACLE_KINDS)[number];

/** Lengths in mm from the top left of its area. */
type Obstacle = {
  readonly kind: ObstacleKind;
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
};
/** Round wall of a cup: diameters at the top and bottom edge of the area; what the handle takes of the way round. */
export type Curve = { readonly topMm: number; readonly bottomMm: number; readonly handleGapMm: number };
export type PrintArea = {
  readonly name: string;
  /** The one size it is of; empty for all. */
  readonly sizeName: string;
  readonly datum: Datum;
  /** From the datum down to the top of the area, mm. */
  readonly dropMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly obstacles: readonly Obstacle[];
  readonly curve: Curve | null;
};

/** The areas of one size: one meant for it alone takes the place of one of the same name for all. */
export function getAreasOfSize(areas: readonly PrintArea[], sizeName: string): readonly PrintArea[] {
  const own = areas.filter((area) => area.sizeName === sizeName);
  return [...own, ...areas.filter((area) => area.sizeName === '' && !own.some((other) => other.name === area.name))];
}

/**
 * The area that a placement names, such as “back” in “back, 100 mm below the collar”; the longest name counts. Null
 * where none is named.
 */
export function findNamedArea(areas: readonly PrintArea[], sizeName: string, placement: string): PrintArea | null {
  const words = placement.toLowerCase();
  return (
    getAreasOfSize(areas, sizeName)
      .filter((area) => words.includes(area.name.toLowerCase()))
      .sort((a, b) => b.name.length - a.name.length)[0] ?? null
  );
}

export type PlacementFault =
  | { readonly kind: 'too-wide' | 'too-high'; readonly byMm: number; readonly atMostMm: number }
  | { readonly kind: 'outside'; readonly edge: AreaEdge; readonly byMm: number }
  | { readonly kind: 'obstacle'; readonly obstacle: ObstacleKind };
type AreaEdge = 'left' | 'right' | 'top' | 'bottom';

/** Where a seller wants it other than in the middle of the area with its top at the area’s: mm; null as there. */
export type OwnPlace = { readonly dropMm: number | null; readonly asideMm: number | null };
const NO_PLACE: OwnPlace = { dropMm: null, asideMm: null };

/** Upper left corner within the area, mm: in the middle of its width, its top at the area’s top, or as the seller says. */
export const placeInArea = (area: PrintArea, widthMm: number, { dropMm, asideMm }: OwnPlace = NO_PLACE) => ({
  xMm: (area.widthMm - widthMm) / 2 + (asideMm ?? 0),
  yMm: (dropMm ?? area.dropMm) - area.dropMm,
});

/** Of whichever kind: what of the area a piece of this size lies on. */
export const listCovered = (
  area: PrintArea,
  { xMm, yMm }: { readonly xMm: number; readonly yMm: number },
  { widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number },
): PrintArea['obstacles'] =>
  area.obstacles.filter(
    (obstacle) =>
      obstacle.xMm < xMm + widthMm &&
      obstacle.xMm + obstacle.widthMm > xMm &&
      obstacle.yMm < yMm + heightMm &&
      obstacle.yMm + obstacle.heightMm > yMm,
  );

/** What is wrong with a piece of this size at its place in the area; empty where all is well. */
export function checkPlacement(
  area: PrintArea,
  widthMm: number,
  heightMm: number,
  own: OwnPlace = NO_PLACE,
): readonly PlacementFault[] {
  const at = placeInArea(area, widthMm, own);
  const covered = listCovered(area, at, { widthMm, heightMm });
  const isTooWide = widthMm > area.widthMm;
  const isTooHigh = heightMm > area.heightMm;
  const edges: readonly (readonly [AreaEdge, number])[] = [
    ...(isTooWide
      ? []
      : ([
          ['left', -at.xMm],
          ['right', at.xMm + widthMm - area.widthMm],
        ] as const)),
    ...(isTooHigh
      ? []
      : ([
          ['top', -at.yMm],
          ['bottom', at.yMm + heightMm - area.heightMm],
        ] as const)),
  ];
  return [
    ...(isTooWide ? [{ kind: 'too-wide', byMm: widthMm - area.widthMm, atMostMm: area.widthMm } as const] : []),
    ...(isTooHigh ? [{ kind: 'too-high', byMm: heightMm - area.heightMm, atMostMm: area.heightMm } as const] : []),
    ...edges.flatMap(([edge, byMm]) => (byMm > POINT_NOISE_MM ? [{ kind: 'outside', edge, byMm } as const] : [])),
    ...[...new Set(covered.map((obstacle) => obstacle.kind))].map(
      (obstacle) => ({ kind: 'obstacle', obstacle }) as const,
    ),
  ];
}

/** The way round a cup, and the arc that a straight strip is bent on where its wall tapers. Null radius: straight. */
export type Wrap = { readonly round: Figure; readonly radius: Figure | null; readonly angleDegrees: number };

/** Along the wall from its upper to its lower edge, `heightMm` apart straight up. */
export const tellSlant = ({ topMm, bottomMm }: Pick<Curve, 'topMm' | 'bottomMm'>, heightMm: number): Figure =>
  figure('Slant', Math.hypot(heightMm, (topMm - bottomMm) / 2), 'mm', 'computed', {
    how: '√(height² + half the difference of diameters²)',
    parts: [
      figure('Height of the wall', heightMm, 'mm', 'shop'),
      figure('Diameter at the top', topMm, 'mm', 'shop'),
      figure('Diameter at the bottom', bottomMm, 'mm', 'shop'),
    ],
  });

/**
 * Unrolls the wall between two circles `heightMm` apart, measured straight up. Development of a truncated cone: with
 * slant s = √(h² + ((D − d) ÷ 2)²) the wider edge lies on a circle of radius s·D ÷ (D − d), over 180°·D ÷ radius.
 */
export function computeWrap(curve: Curve, heightMm: number): Wrap {
  const wide = Math.max(curve.topMm, curve.bottomMm),
    narrow = Math.min(curve.topMm, curve.bottomMm);
  const round = figure(
    'Way round at the narrow edge',
    Math.max(0, Math.PI * narrow - curve.handleGapMm),
    'mm',
    'computed',
    {
      how: 'π × diameter − what the handle takes',
      parts: [figure('Diameter', narrow, 'mm', 'shop'), figure('Handle', curve.handleGapMm, 'mm', 'shop')],
    },
  );
  // Less than this taper no strip shows.
  if (wide - narrow < 0.5) return { round, radius: null, angleDegrees: 0 };
  const slant = tellSlant(curve, heightMm);
  const radius = figure('Radius of the wider edge', (slant.value * wide) / (wide - narrow), 'mm', 'computed', {
    how: 'slant × wider ÷ (wider − narrower diameter): the cone laid flat',
    parts: [slant],
  });
  return { round, radius, angleDegrees: (180 * wide) / radius.value };
}
