// Where on a blank something can be put: how large, how far from what a ruler finds, round what it curves, and what
// lies in the way.

import { POINT_NOISE_MM } from '../units';

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
