// Where an artwork lies on one size of a blank: measured, drawn, and what is wrong with it there.

import {
  checkPlacement,
  findNamedArea,
  listCovered,
  placeInArea,
  type Blank,
  type Datum,
  type OwnPlace,
  type PlacementFault,
  type PrintArea,
} from '../materials';
import { boundPoints, type Box, type Polyline } from '../geometry';
import { figure, LENGTH_NOISE_MM, type Figure } from '../units';
import { drawBlank, type BlankOutline } from './blank-outline';
import { measureSize, shapeOf, type SizeMeasures } from './size-measures';
import type { Spot } from './spot-names';
import { guessSpot, SPOT_FACTS } from './spots';

/** What a seller said of a place besides its words; mm, null where nothing was said. */
export type Placing = OwnPlace & { readonly spot: Spot | null };
const NO_PLACING: Placing = { spot: null, dropMm: null, asideMm: null };

export type ArtworkToPlace = {
  readonly place: string;
  readonly placing?: Placing | null;
  readonly widthMm: number;
  readonly heightMm: number;
};
export type PlacingBlank = Pick<Blank, 'name' | 'sizes' | 'areas' | 'shape'>;

export type PlacingFault =
  | PlacementFault
  /** Over the edge of the blank itself. */
  | { readonly kind: 'off-the-blank'; readonly byMm: number }
  /** Nearer to where one drinks than decoration may come. */
  | { readonly kind: 'near-the-lip'; readonly leastMm: number };
/** Moved so far, to the right and down, it is clear of everything; mm. */
export type Shift = { readonly rightMm: number; readonly downMm: number };

export type PlacedArtwork = {
  readonly spot: Spot;
  readonly datum: Datum;
  readonly area: PrintArea | null;
  /** Where the area lies, in the coordinates of the outline; null where there is none. */
  readonly areaBox: Box | null;
  /** In the coordinates of the outline. */
  readonly box: Box;
  readonly outline: BlankOutline;
  readonly size: SizeMeasures;
  /** Down from the datum to its top edge. */
  readonly drop: Figure;
  /** From the middle line to its own middle; 0 on it. */
  readonly aside: Figure;
  /** From its edges to the blank’s, at half its height; null where the blank has no edge there. */
  readonly left: Figure | null;
  readonly right: Figure | null;
  readonly faults: readonly PlacingFault[];
  /** The least that clears it of what it lies on, within its area; null where it is clear, or nothing would. */
  readonly clearBy: Shift | null;
};

/** Decoration keeps so far from a rim that is drunk from. */
const LIP_CLEAR_MM = 10;

export function placeArtwork(blank: PlacingBlank, sizeName: string, artwork: ArtworkToPlace): PlacedArtwork {
  const { place, widthMm, heightMm } = artwork;
  const placing = artwork.placing ?? NO_PLACING;
  const shape = shapeOf(blank);
  const spot = placing.spot ?? guessSpot(shape, place);
  const facts = SPOT_FACTS[spot];
  const size = measureSize(blank, sizeName);
  const area = findNamedArea(blank.areas, sizeName, place);
  const outline = drawSide(blank, area, { spot, size });
  const datum = area?.datum ?? facts.datum;
  const datumMm = outline.datums[datum] ?? 0;
  const drop = tellDrop(artwork, { area, spot, size, outline, datumMm });
  const aside = tellAside(placing, spot, outline);
  const box: Box = { x: aside.value - widthMm / 2, y: datumMm + drop.value, width: widthMm, height: heightMm };
  const areaAsideMm = findAreaAside(spot, outline);
  const own = { dropMm: placing.dropMm, asideMm: aside.value - areaAsideMm };
  const edges = findEdges(outline.body ?? outline.outline, box);
  return {
    spot,
    datum,
    area,
    areaBox: area && boundArea(area, areaAsideMm, datumMm),
    box,
    outline,
    size,
    drop,
    aside,
    left: edges && tellEdge('To the left edge', box.x - edges.left),
    right: edges && tellEdge('To the right edge', edges.right - box.x - box.width),
    faults: [
      ...(area ? checkPlacement(area, widthMm, heightMm, own) : []),
      ...checkEdges(box, edges, outline),
      ...(shape === 'cup' && drop.value < LIP_CLEAR_MM - LENGTH_NOISE_MM
        ? [{ kind: 'near-the-lip', leastMm: LIP_CLEAR_MM } as const]
        : []),
    ],
    clearBy: area && findClear(area, artwork, own),
  };
}

/** A round wall is as its area says: as long as it is round less what the handle takes. */
function drawSide(
  blank: PlacingBlank,
  area: PrintArea | null,
  { spot, size }: { readonly spot: Spot; readonly size: SizeMeasures },
): BlankOutline {
  const shape = shapeOf(blank);
  const flat = { widthMm: size.width.value, lengthMm: size.length.value };
  const { side } = SPOT_FACTS[spot];
  if (side !== 'wall' || !area?.curve) return drawBlank(shape, side, flat);
  const { topMm, bottomMm, handleGapMm } = area.curve;
  const roundMm = (Math.PI * (topMm + bottomMm)) / 2;
  const lengthMm = Math.max(flat.lengthMm, area.dropMm + area.heightMm);
  return { ...drawBlank(shape, side, { widthMm: roundMm - handleGapMm, lengthMm }), halfWidthMm: roundMm / 2 };
}

type Found = {
  readonly area: PrintArea | null;
  readonly spot: Spot;
  readonly size: SizeMeasures;
  readonly outline: BlankOutline;
  readonly datumMm: number;
};

/** Typed, else of the print area, else as the trade has it; half-way down where it is centred. */
function tellDrop({ placing, heightMm }: ArtworkToPlace, { area, spot, size, outline, datumMm }: Found): Figure {
  const { drop } = SPOT_FACTS[spot];
  const label = `Down from the ${area?.datum ?? SPOT_FACTS[spot].datum}`;
  const typed = placing?.dropMm ?? null;
  if (typed !== null) return figure(label, typed, 'mm', 'typed');
  if (area) return figure(label, area.dropMm, 'mm', 'shop', { how: `of the print area ${area.name}` });
  if (drop)
    return figure(label, size.isChild ? drop.childMm : drop.adultMm, 'mm', 'default', {
      how: size.isChild ? 'as is usual for children' : 'as is usual for adults',
    });
  const bottomMm = outline.datums.rim || outline.datums.hem || (boundPoints([outline.outline])?.height ?? 0);
  return figure(label, (bottomMm - heightMm) / 2 - datumOrTop(datumMm, bottomMm), 'mm', 'computed', {
    how: '(height − its own height) ÷ 2: half-way down',
    parts: [figure('Height', bottomMm, 'mm', size.length.source), figure('Its own height', heightMm, 'mm', 'measured')],
  });
}
/** Something centred is measured from the top, whatever else is there. */
const datumOrTop = (datumMm: number, bottomMm: number): number => (datumMm < bottomMm ? datumMm : 0);

const usualAsideMm = (spot: Spot, { halfWidthMm }: BlankOutline): number => SPOT_FACTS[spot].aside * halfWidthMm;

/** The area of a round wall is all of it; any other lies where its spot does. */
const findAreaAside = (spot: Spot, outline: BlankOutline): number =>
  outline.side === 'wall' ? 0 : usualAsideMm(spot, outline);

const boundArea = ({ widthMm, heightMm, dropMm }: PrintArea, asideMm: number, datumMm: number): Box => ({
  x: asideMm - widthMm / 2,
  y: datumMm + dropMm,
  width: widthMm,
  height: heightMm,
});

function tellAside({ asideMm }: Placing, spot: Spot, outline: BlankOutline): Figure {
  const { aside } = SPOT_FACTS[spot];
  const { halfWidthMm, side } = outline;
  const label = 'From the middle to its own middle';
  const usualMm = usualAsideMm(spot, outline);
  const usual = figure(label, usualMm, 'mm', aside === 0 ? 'default' : 'computed', {
    how:
      aside === 0
        ? 'on the middle line'
        : side === 'wall'
          ? 'a quarter of the way round from opposite the handle'
          : 'half-way between the middle and the side seam',
    ...(aside === 0 ? {} : { parts: [figure('Middle to side seam', halfWidthMm, 'mm', 'computed')] }),
  });
  return asideMm === null
    ? usual
    : figure(label, usualMm + asideMm, 'mm', 'typed', {
        how: 'its usual place + moved',
        parts: [usual, figure('Moved', asideMm, 'mm', 'typed')],
      });
}

const tellEdge = (label: string, valueMm: number): Figure =>
  figure(label, valueMm, 'mm', 'computed', { how: 'from its own edge to the blank’s, at half its height' });

type Edges = { readonly left: number; readonly right: number };

/** Where the blank ends to both sides of the artwork, at half its height. */
function findEdges(outline: Polyline, box: Box): Edges | null {
  const y = box.y + box.height / 2;
  const middle = box.x + box.width / 2;
  const crossings = outline.flatMap((a, index) => {
    const b = outline[(index + 1) % outline.length]!;
    return a.y > y !== b.y > y ? [a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x)] : [];
  });
  const left = Math.max(...crossings.filter((x) => x <= middle));
  const right = Math.min(...crossings.filter((x) => x > middle));
  return Number.isFinite(left) && Number.isFinite(right) ? { left, right } : null;
}

function checkEdges(box: Box, edges: Edges | null, { outline }: BlankOutline): readonly PlacingFault[] {
  const whole = boundPoints([outline]);
  const over = Math.max(
    edges ? edges.left - box.x : 0,
    edges ? box.x + box.width - edges.right : 0,
    whole ? box.y + box.height - whole.y - whole.height : 0,
    whole ? whole.y - box.y : 0,
  );
  return over > LENGTH_NOISE_MM ? [{ kind: 'off-the-blank', byMm: over }] : [];
}

/**
 * The shortest way, along one or both edges, to where the piece lies on nothing and within its area. It is enough to
 * look where it touches an obstacle or an edge of the area: a shorter way ends at such a place.
 */
export function findClear(
  area: PrintArea,
  size: { readonly widthMm: number; readonly heightMm: number },
  own: OwnPlace,
): Shift | null {
  const from = placeInArea(area, size.widthMm, own);
  if (listCovered(area, from, size).length === 0) return null;
  const room = { x: area.widthMm - size.widthMm, y: area.heightMm - size.heightMm };
  if (room.x < 0 || room.y < 0) return null;
  const within = (value: number, most: number) => value >= 0 && value <= most;
  const xs = area.obstacles.flatMap(({ xMm, widthMm }) => [xMm - size.widthMm, xMm + widthMm]);
  const ys = area.obstacles.flatMap(({ yMm, heightMm }) => [yMm - size.heightMm, yMm + heightMm]);
  const ways = [from.xMm, 0, room.x, ...xs]
    .filter((xMm) => within(xMm, room.x))
    .flatMap((xMm) => [from.yMm, 0, room.y, ...ys].filter((yMm) => within(yMm, room.y)).map((yMm) => ({ xMm, yMm })))
    .filter((at) => listCovered(area, at, size).length === 0)
    .map((at) => ({ rightMm: at.xMm - from.xMm, downMm: at.yMm - from.yMm }))
    .sort((a, b) => lengthOf(a) - lengthOf(b));
  return ways[0] ?? null;
}
const lengthOf = ({ rightMm, downMm }: Shift): number => Math.abs(rightMm) + Math.abs(downMm);

export type AtPlace = { readonly place: string; readonly placed: PlacedArtwork };

/** Those of others on the same side that it lies on. What is at one place in the same words lies on one another by design. */
export const findOverlapping = <Other extends AtPlace>(own: AtPlace, others: readonly Other[]): readonly Other[] =>
  others.filter(
    ({ place, placed }) =>
      place !== own.place && placed.outline.side === own.placed.outline.side && overlap(placed.box, own.placed.box),
  );

const overlap = (a: Box, b: Box): boolean =>
  a.x + LENGTH_NOISE_MM < b.x + b.width &&
  b.x + LENGTH_NOISE_MM < a.x + a.width &&
  a.y + LENGTH_NOISE_MM < b.y + b.height &&
  b.y + LENGTH_NOISE_MM < a.y + a.height;
