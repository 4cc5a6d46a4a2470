// Where the trade puts things: how wide, how far down, and from what it is measured. Ordinary ranges; a print area of
// the blank and the seller's own measures win over them.

import type { BlankShape, Datum } from '../materials';
import type { BlankSide } from './blank-outline';
import type { Spot } from './spot-names';

export type SpotFacts = {
  readonly side: BlankSide;
  readonly datum: Datum;
  /** From the datum to the top edge, mm. Null: half-way between the top and the bottom. */
  readonly drop: { readonly adultMm: number; readonly childMm: number } | null;
  /** From the middle to its own middle, as a share of the way to the side seam; to the right as one looks at it. */
  readonly aside: number;
  /** Ordinary widths on the middle size, mm. */
  readonly leastMm: number;
  readonly mostMm: number;
  /** What the place holds at most, whatever the size; mm. */
  readonly mostHeightMm?: number;
  readonly words: readonly string[];
};

/** The wearer's left is seen on the right. */
const LEFT = 0.5;
const RIGHT = -0.5;
const still = (mm: number) => ({ adultMm: mm, childMm: mm });
const breast = {
  side: 'front',
  datum: 'collar',
  drop: { adultMm: 105, childMm: 80 },
  leastMm: 75,
  mostMm: 100,
} as const;
const sleeve = {
  datum: 'shoulder seam',
  drop: { adultMm: 60, childMm: 40 },
  aside: 0,
  leastMm: 50,
  mostMm: 80,
} as const;
const leg = {
  side: 'front',
  datum: 'top edge',
  drop: { adultMm: 230, childMm: 140 },
  leastMm: 80,
  mostMm: 120,
} as const;
const onWall = { side: 'wall', datum: 'rim', drop: null, leastMm: 60, mostMm: 85 } as const;

export const SPOT_FACTS: Readonly<Record<Spot, SpotFacts>> = {
  front: {
    side: 'front',
    datum: 'neckline',
    drop: { adultMm: 75, childMm: 55 },
    aside: 0,
    leastMm: 230,
    mostMm: 300,
    words: ['front', 'chest'],
  },
  'left breast': { ...breast, aside: LEFT, words: ['left breast', 'left chest', 'breast', 'heart'] },
  'right breast': { ...breast, aside: RIGHT, words: ['right breast', 'right chest'] },
  back: {
    side: 'back',
    datum: 'collar',
    drop: { adultMm: 105, childMm: 80 },
    aside: 0,
    leastMm: 280,
    mostMm: 330,
    words: ['back', 'shoulders'],
  },
  'neck label': {
    side: 'back',
    datum: 'collar',
    drop: still(15),
    aside: 0,
    leastMm: 50,
    mostMm: 60,
    words: ['neck label', 'neck', 'nape', 'label inside'],
  },
  'left sleeve': { ...sleeve, side: 'left sleeve', words: ['left sleeve', 'left arm', 'sleeve', 'arm'] },
  'right sleeve': { ...sleeve, side: 'right sleeve', words: ['right sleeve', 'right arm'] },
  'left leg': { ...leg, aside: LEFT, words: ['left leg', 'left thigh', 'leg', 'thigh'] },
  'right leg': { ...leg, aside: RIGHT, words: ['right leg', 'right thigh'] },
  pocket: {
    side: 'front',
    datum: 'top edge',
    drop: still(400),
    aside: 0,
    leastMm: 70,
    mostMm: 110,
    words: ['pocket'],
  },
  bib: { side: 'front', datum: 'top edge', drop: still(70), aside: 0, leastMm: 150, mostMm: 220, words: ['bib'] },
  'hat front': {
    side: 'front',
    datum: 'top edge',
    drop: null,
    aside: 0,
    leastMm: 90,
    mostMm: 120,
    mostHeightMm: 58,
    words: ['hat', 'cap', 'panel', 'brim'],
  },
  'below the handles': {
    side: 'front',
    datum: 'top edge',
    drop: still(90),
    aside: 0,
    leastMm: 200,
    mostMm: 260,
    words: ['below the handles', 'handle', 'bag'],
  },
  bandana: {
    side: 'front',
    datum: 'top edge',
    drop: { adultMm: 55, childMm: 55 },
    aside: 0,
    leastMm: 90,
    mostMm: 140,
    words: ['bandana', 'point', 'corner'],
  },
  middle: {
    side: 'front',
    datum: 'top edge',
    drop: null,
    aside: 0,
    leastMm: 160,
    mostMm: 260,
    words: ['middle', 'centre', 'center', 'centred'],
  },
  'seen right-handed': { ...onWall, aside: 0.5, words: ['right-handed', 'right hand'] },
  'seen left-handed': { ...onWall, aside: -0.5, words: ['left-handed', 'left hand'] },
  'opposite the handle': { ...onWall, aside: 0, words: ['opposite', 'side', 'round', 'wall', 'front'] },
  /** What has no handle has a seam, or nothing that it could be opposite of. */
  'opposite the seam': { ...onWall, aside: 0, words: ['opposite', 'side', 'round', 'wall', 'front'] },
};

const BODY: readonly Spot[] = [
  'front',
  'left breast',
  'right breast',
  'back',
  'neck label',
  'left sleeve',
  'right sleeve',
  'middle',
];
/** The first is where a drawing goes if nothing is said. */
export const SPOTS_OF: Readonly<Record<BlankShape, readonly Spot[]>> = {
  't-shirt': BODY,
  hoodie: BODY,
  jacket: ['back', ...BODY.filter((spot) => spot !== 'back')],
  apron: ['bib', 'pocket', 'middle'],
  bag: ['below the handles', 'middle'],
  hat: ['hat front'],
  trousers: ['left leg', 'right leg'],
  bandana: ['bandana'],
  cloth: ['middle'],
  cup: ['seen right-handed', 'seen left-handed', 'opposite the handle'],
  tin: ['opposite the seam'],
  'flat thing': ['middle'],
};

/**
 * The spot that the seller's words name, of those that such a blank has; the longest word counts. "Centred" says which
 * one it is only where nothing else does.
 */
export function guessSpot(shape: BlankShape, place: string): Spot {
  const said = place.toLowerCase();
  const named = SPOTS_OF[shape]
    .flatMap((spot) => SPOT_FACTS[spot].words.map((word) => ({ spot, word })))
    .filter(({ word }) => new RegExp(`(^|[^\\p{L}])${word}`, 'u').test(said))
    .sort((a, b) => Number(a.spot === 'middle') - Number(b.spot === 'middle') || b.word.length - a.word.length);
  return named[0]?.spot ?? SPOTS_OF[shape][0]!;
}
