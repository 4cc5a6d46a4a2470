import { describe, expect, it } from 'vitest';
import { PLAIN_BLANK, PLAIN_LAYER, PLAIN_SHOP, PLAIN_VINYL, STICKY_VINYL } from '../../../test/worked-example';
import type { ArtworkMeasurement, LayerMeasurement } from '../artwork';
import { getOrdinaryDetails, type Blank, type Vinyl, type VinylKind } from '../materials';
import { measurement as one } from './item-plan-examples';
import { checkMade, chooseVinyls, type Made } from './index';

const layer = (key: string, more: Partial<LayerMeasurement> = {}): LayerMeasurement => ({
  ...PLAIN_LAYER,
  key,
  colour: key,
  ...more,
});
const vinyl = (id: number, kind: VinylKind, more: Partial<Vinyl> = {}): Vinyl => ({
  ...PLAIN_VINYL,
  id,
  name: `${kind} ${id}`,
  kind,
  details: getOrdinaryDetails(kind),
  ...more,
});
const VINYLS = [
  vinyl(1, 'smooth'),
  vinyl(2, 'glitter'),
  vinyl(3, 'puff'),
  vinyl(4, 'smooth', { rollWidthMm: 70 }),
  vinyl(5, 'flock'),
];
/** Two layers of 4000 mm², the second with all of itself on the first. */
const TWO: ArtworkMeasurement = {
  ...one,
  layers: [layer('#111111'), layer('#eeeeee')],
  overlaps: [{ lower: '#111111', upper: '#eeeeee', areaMm2: 4000, perimeterMm: 320 }],
};
const check = (
  vinylIds: readonly number[],
  {
    artwork = TWO,
    widthMm = 100,
    blank = PLAIN_BLANK,
    place = 'front',
  }: {
    artwork?: ArtworkMeasurement;
    widthMm?: number;
    blank?: Blank;
    place?: string;
  } = {},
) =>
  checkMade({
    made: {
      sizeName: 'one size',
      placements: [{ artworkId: 1, place, widthMm, seenThrough: false, vinylIds }],
    } satisfies Pick<Made, 'placements' | 'sizeName'>,
    materials: {
      vinyl: (id) => VINYLS.find((candidate) => candidate.id === id),
      artwork: () => ({ name: 'Loaf', measurement: artwork, layerNames: ['loaf', 'wheat'] }),
    },
    blank,
    shop: PLAIN_SHOP,
  });
const kinds = (...of: Parameters<typeof check>) => check(...of).map((finding) => finding.kind);

describe('what stands in the way of an item', () => {
  it('nothing, where plain vinyl lies on plain vinyl', () => expect(check([1, 1])).toEqual([]));

  it('glitter takes nothing on itself: three of them are told before the press', () => {
    expect(check([2, 2])).toEqual([
      {
        kind: 'stacking',
        lower: 'loaf',
        upper: 'wheat',
        lowerVinyl: 'glitter 2',
        upperVinyl: 'glitter 2',
        barred: 'lower',
        areaMm2: 4000,
      },
    ]);
    const three: ArtworkMeasurement = {
      ...TWO,
      layers: [...TWO.layers, layer('#777777')],
      overlaps: [...TWO.overlaps, { lower: '#eeeeee', upper: '#777777', areaMm2: 900, perimeterMm: 120 }],
    };
    expect(kinds([2, 2, 2], { artwork: three })).toEqual(['stacking', 'stacking']);
  });

  it('the seam of a knock-out is on purpose, at the width it was made and at others', () => {
    const seam = (areaMm2: number, perimeterMm: number): ArtworkMeasurement => ({
      ...TWO,
      overlaps: [{ lower: '#111111', upper: '#eeeeee', areaMm2, perimeterMm }],
    });
    // 0.4 mm along 320 mm.
    expect(check([2, 1], { artwork: seam(128, 640) })).toEqual([]);
    expect(check([2, 1], { artwork: seam(128, 640), widthMm: 200 })).toEqual([]);
    // A stroke 3 mm wide that crosses a band of 10 mm is none, nor a thin word that lies on it with most of itself.
    expect(kinds([2, 1], { artwork: seam(30, 26) })).toEqual(['stacking']);
    expect(kinds([2, 1], { artwork: seam(2100, 5000) })).toEqual(['stacking']);
  });

  it('puff is pressed last', () => {
    const apart = { ...TWO, overlaps: [] };
    expect(check([3, 1], { artwork: apart }).filter((finding) => finding.kind === 'puff-early')).toEqual([
      { kind: 'puff-early', layer: 'loaf', vinyl: 'puff 3', after: 'wheat' },
    ]);
    expect(kinds([1, 3], { artwork: apart })).toEqual([]);
    expect(kinds([3, 3], { artwork: apart })).toEqual([]);
  });

  it('is too wide only where no quarter turn helps', () => {
    const apart = { ...TWO, overlaps: [] };
    expect(check([4, 1], { artwork: apart })).toEqual([]);
    expect(check([4, 1], { artwork: apart, widthMm: 101 })).toEqual([
      { kind: 'wider-than-vinyl', layer: 'loaf', vinyl: 'smooth 4', needsMm: expect.closeTo(70.6, 6), usableMm: 70 },
    ]);
  });

  it('says from which width fine detail holds in its own vinyl', () => {
    const fine: ArtworkMeasurement = {
      ...TWO,
      overlaps: [],
      layers: [layer('#111111', { thinnestStroke: { widthMm: 1.1, x: 0, y: 0 } }), layer('#eeeeee')],
    };
    expect(check([1, 1], { artwork: fine })).toEqual([]);
    expect(check([2, 1], { artwork: fine })).toEqual([
      {
        kind: 'too-fine',
        part: 'stroke',
        layer: 'loaf',
        vinyl: 'glitter 2',
        thinnestMm: 1.1,
        floorMm: 2.2,
        safeWidthMm: 200,
        withinReach: true,
      },
    ]);
    expect(check([2, 1], { artwork: fine, widthMm: 200 })).toEqual([]);
  });

  it('lies within the area it names, clear of what is there', () => {
    const blank: Blank = {
      ...PLAIN_BLANK,
      areas: [
        {
          sizeName: '',
          name: 'front',
          widthMm: 90,
          heightMm: 200,
          dropMm: 75,
          datum: 'collar',
          obstacles: [{ kind: 'zip', xMm: 44, yMm: 0, widthMm: 2, heightMm: 200 }],
          curve: null,
        },
      ] as unknown as Blank['areas'],
    };
    expect(check([1, 1], { blank }).map((finding) => finding.kind === 'off-the-area' && finding.fault.kind)).toEqual([
      'too-wide',
      'obstacle',
    ]);
    expect(check([1, 1], { blank, place: 'somewhere else' })).toEqual([]);
  });

  it('lines that are strokes come first: they are not cut at all', () =>
    expect(kinds([2, 2], { artwork: { ...TWO, strokesApart: 4 } })).toEqual(['strokes-apart', 'stacking']));
});

describe('the vinyls a drawing begins with', () => {
  const shelf = [
    vinyl(1, 'smooth', { colourHex: '#ffffff' }),
    vinyl(2, 'smooth', { colourHex: '#c02020' }),
    vinyl(3, 'glitter', { colourHex: '#101010' }),
    vinyl(4, 'smooth', { colourHex: '#181818' }),
    { ...STICKY_VINYL, id: 5, colourHex: '#111111' },
  ];
  const artwork = { measurement: TWO, layerVinylIds: [null, null] };

  it('are the nearest in colour that the blank can take, plain before glitter', () => {
    expect(chooseVinyls(artwork, shelf, PLAIN_BLANK)).toEqual([4, 1]);
    expect(chooseVinyls(artwork, shelf, { heating: 'none' })).toEqual([5, 5]);
  });

  it('are those it was kept with, where they are on the shelf still', () => {
    expect(chooseVinyls({ ...artwork, layerVinylIds: [2, 99] }, shelf, PLAIN_BLANK)).toEqual([2, 1]);
  });
});
