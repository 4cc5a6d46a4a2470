// @vitest-environment jsdom
import { MEASUREMENT_EDITION } from '../../core/artwork';
import { act, renderHook } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { ArtworkView } from '../../views/artwork';
import { openDesk, startDesk, toSteps, useDesk } from './desk-state';
import { makeNameOf, toMaterials } from './layer-names';
import { DEFAULT_SHOP_FIGURES, getOrdinaryDetails } from '../../core/materials';

const layer = (key: string) => ({ key, colour: key.slice(0, 7) }) as ArtworkView['measurement']['layers'][number];
const artwork = (part: Partial<ArtworkView>): ArtworkView => ({
  id: 1,
  name: 'Oars',
  fileName: 'oars.svg',
  originalBytes: 1,
  measurement: {
    widthMm: 240,
    heightMm: 180,
    layers: [layer('#ff0000'), layer('#0000ff')],
    segments: 1,
    strokesApart: 0,
    overlaps: [],
    chirality: { score: 1, chiral: false },
    safeWidthsMm: { smooth: null, textured: null, puff: null, 'premium-adhesive': null, 'budget-adhesive': null },
    edition: MEASUREMENT_EDITION,
  },
  layerNames: ['oars', 'waves'],
  layerVinylIds: [3, null],
  steps: [],
  licence: 'own',
  picture: { width: 1, height: 1, layers: [] },
  leftOut: [],
  gradients: 0,
  sizeStated: true,
  createdAtMs: 0,
  archived: false,
  version: 1,
  ...part,
});

describe('the desk as a drawing was kept', () => {
  it('takes names and vinyls by layer, and the size out of the steps', () => {
    const desk = openDesk(
      artwork({
        steps: [
          { kind: 'size', widthMm: 240, on: true },
          { kind: 'unite', on: true },
        ],
      }),
    );
    expect(desk).toMatchObject({
      size: { by: 'width', widthMm: 240 },
      steps: [{ kind: 'unite', on: true }],
      names: { '#ff0000': 'oars', '#0000ff': 'waves' },
      vinylIds: { '#ff0000': 3, '#0000ff': null },
      licence: 'own',
    });
  });

  it('knows a size by height and a print area, and without a step the width it was measured at', () => {
    expect(openDesk(artwork({ steps: [{ kind: 'size', heightMm: 60, on: true }] })).size).toEqual({
      by: 'height',
      widthMm: null,
      heightMm: 60,
    });
    expect(
      openDesk(artwork({ steps: [{ kind: 'size', widthMm: 90, heightMm: 60, fit: true, on: true }] })).size,
    ).toEqual({ by: 'fit', widthMm: 90, heightMm: 60 });
    expect(openDesk(artwork({})).size).toEqual({ by: 'width', widthMm: 240, heightMm: null });
  });

  it('gives its steps back as they were kept', () => {
    const steps = [
      { kind: 'size', widthMm: 90, heightMm: 60, fit: true, on: true },
      { kind: 'rotate', degrees: 90, on: false },
    ] as const;
    expect(toSteps(openDesk(artwork({ steps })))).toEqual(steps);
  });
});

describe('sizes that can’t be used', () => {
  it.each([
    [{ by: 'width', widthMm: null, heightMm: null }],
    [{ by: 'width', widthMm: 1, heightMm: null }],
    [{ by: 'height', widthMm: 100, heightMm: 9000 }],
    [{ by: 'fit', widthMm: 100, heightMm: null }],
  ] as const)('%o', (size) => {
    expect(toSteps({ size, steps: [] })).toBeNull();
  });
});

describe('working at the desk', () => {
  const begin = () => renderHook(() => useDesk(startDesk('Oars', [])));

  it('a remedy becomes a step and is undone; a size remedy sets the width', () => {
    const { result } = begin();
    act(() => result.current.take({ kind: 'unite' }));
    expect(result.current.state.steps).toEqual([{ kind: 'unite', on: true }]);
    act(() => result.current.take({ kind: 'size', widthMm: 118 }));
    expect(result.current.state.size.widthMm).toBe(118);
    expect(result.current.state.steps).toHaveLength(1);
    act(() => result.current.undo!());
    act(() => result.current.undo!());
    expect(result.current.state.steps).toEqual([]);
    expect(result.current.state.size.widthMm).toBe(200);
    expect(result.current.undo).toBeNull();
  });

  it('typing is no step to undo', () => {
    const { result } = begin();
    act(() => result.current.change({ name: 'Oars, large' }));
    expect(result.current.undo).toBeNull();
    act(() => result.current.act({ vinylIds: { '#ff0000': 2 } }));
    act(() => result.current.undo!());
    expect(result.current.state).toMatchObject({ name: 'Oars, large', vinylIds: {} });
  });

  it('remembers fifty steps and begins anew with another drawing', () => {
    const { result } = begin();
    for (let step = 0; step < 60; step++) act(() => result.current.take({ kind: 'unite' }));
    for (let step = 0; step < 50; step++) act(() => result.current.undo!());
    expect(result.current.undo).toBeNull();
    act(() => result.current.take({ kind: 'unite' }));
    act(() => result.current.reset(startDesk('Waves', [{ kind: 'outline-strokes', on: true }])));
    expect(result.current.state).toMatchObject({ name: 'Waves', steps: [{ kind: 'outline-strokes', on: true }] });
    expect(result.current.undo).toBeNull();
  });
});

it('calls a layer by its given name, else by its colour, with what a step made of it', () => {
  const nameOf = makeNameOf({ '#ff0000': 'oars' });
  expect([nameOf('#ff0000'), nameOf('#ff0000 negative'), nameOf('#0000ff')]).toEqual(['oars', 'oars negative', 'blue']);
});

it('asks of a drawing what its vinyls allow', () => {
  const vinyl = {
    id: 2,
    name: 'Glint',
    kind: 'glitter',
    colourName: 'gold',
    colourHex: '#b28a2c',
    rollWidthMm: 305,
    rollLengthMm: 1500,
    rollPrice: 100 as never,
    weedingFactor: 1.2,
    press: null,
    details: getOrdinaryDetails('glitter'),
    supplier: '',
    version: 1,
    archived: false,
  } as const;
  const { byLayer } = toMaterials({ '#ff0000': 2, '#0000ff': null, '#00ff00': 77 }, [vinyl], DEFAULT_SHOP_FIGURES);
  expect(Object.keys(byLayer!)).toEqual(['#ff0000']);
  expect(byLayer!['#ff0000']).toEqual({
    floor: { strokeMm: 2.2, gapMm: 2 },
    hasOwnFloor: false,
    takesLayers: false,
    usableMm: 305 - 20 - 12,
    turnable: true,
  });
});
