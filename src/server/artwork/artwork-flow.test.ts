import { beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { copyDemoShop, seedDemoShop, type TestShop } from '../../../test/demo-shop';
import { priceAllItems } from '../../../test/price-all';
import { artworkChange, newArtworkInput, vinylInput } from '../../core/input/index';
import { checkPrepared, prepareFile, type PrepStep } from '../../core/artwork/index';
import { findArtwork, findOriginal } from '../../data/artwork-store';
import { parseInput, ShopError } from '../errors';
import { archiveArtwork, changeArtwork, saveArtwork, readFacts } from './save-artwork';
import { measureFile } from './measure-file';
import { loadArtworkList } from './load-artwork-list';
import { loadArtworkView, loadItemEditor } from '../items/load-items';
import { changeVinyl } from '../stock/save-shelf';
import { findVinyl } from '../../data/shelf-store';
import { listMaterials } from './layer-materials';

let seeded: Buffer;
let shop: TestShop;
const DRAWING =
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 80"><rect fill="#ff0000" width="60" height="40"/><rect fill="#ff0000" x="40" width="60" height="40"/><circle fill="#0000ff" cx="50" cy="60" r="10"/><path stroke="#00ff00" stroke-width="4" d="M0 78H100"/></svg>';
const SIZE: PrepStep = { kind: 'size', widthMm: 200, on: true };
const file = (part: Partial<Parameters<typeof saveArtwork>[1]> = {}) => ({
  bytes: Buffer.from(DRAWING),
  fileName: 'crossing.svg',
  name: 'Crossing',
  steps: [SIZE],
  layerNames: [],
  layerVinylIds: [],
  licence: 'own' as const,
  ...part,
});
async function refusalOf(run: Promise<unknown>): Promise<ShopError> {
  try {
    await run;
  } catch (error) {
    if (error instanceof ShopError) return error;
    throw error;
  }
  throw new Error('Expected: a refusal. Actual: it was done');
}

beforeAll(async () => {
  seeded = await seedDemoShop();
}, 60_000);
beforeEach(() => {
  shop = copyDemoShop(seeded);
});

describe('saving a drawing', () => {
  it('keeps the file as it came, and what the server itself measured', async () => {
    const { id } = await saveArtwork(shop, file());
    const saved = findArtwork(shop.db, id)!;
    expect(findOriginal(shop.db, id)!.original.toString()).toBe(DRAWING);
    expect(saved.measurement.widthMm).toBeCloseTo(200, 2);
    expect(saved.measurement.layers.map((layer) => layer.key)).toEqual(['#ff0000', '#0000ff']);
    expect(saved).toMatchObject({
      name: 'Crossing',
      fileName: 'crossing.svg',
      licence: 'own',
      steps: [SIZE],
      layerVinylIds: [null, null],
      layerNames: ['red', 'blue'],
      originalBytes: DRAWING.length,
    });
    expect(saved.leftOut).toEqual([{ kind: 'stroke', count: 1, names: ['<path>'] }]);
  });

  it('does the steps: outlined strokes are a layer and no longer left out, united shapes have one outline', async () => {
    const { id } = await saveArtwork(
      shop,
      file({
        steps: [SIZE, { kind: 'outline-strokes', on: true }, { kind: 'unite', on: true }],
        layerNames: ['field', 'dot', 'line'],
      }),
    );
    const saved = findArtwork(shop.db, id)!;
    expect(saved.layerNames).toEqual(['field', 'dot', 'line']);
    expect(saved.leftOut).toEqual([]);
    expect(saved.measurement.layers[0]!.cutLengthMm).toBeCloseTo(saved.measurement.layers[0]!.outlineLengthMm, 3);
  });

  it('stores nothing of a file that can’t be read, and says why', async () => {
    const before = loadArtworkList(shop).artworks.length;
    for (const [text, words] of [
      ['no drawing', /not an SVG/],
      ['', /empty/],
      ['<svg xmlns="http://www.w3.org/2000/svg"><text>x</text></svg>', /live text/],
    ] as const) {
      const refusal = await refusalOf(saveArtwork(shop, file({ bytes: Buffer.from(text) })));
      expect([refusal.code, refusal.field]).toEqual(['unreadable', 'file']);
      expect(refusal.message).toMatch(words);
    }
    expect(loadArtworkList(shop).artworks.length).toBe(before);
  });

  it('refuses a vinyl that is not there, and names the layer', async () => {
    const refusal = await refusalOf(saveArtwork(shop, file({ layerVinylIds: [1, 999] })));
    expect([refusal.code, refusal.field]).toEqual(['invalid', 'layerVinylIds[1]']);
  });

  it('reads files that are not UTF-8', async () => {
    const utf16 = Buffer.concat([Buffer.from([0xff, 0xfe]), Buffer.from(DRAWING, 'utf16le')]);
    expect((await measureFile(utf16, { widthMm: 100 })).measurement.layers).toHaveLength(2);
  });
});

describe('what comes beside a file', () => {
  it('is JSON from a page, or plain words from a script', () => {
    const page = new URLSearchParams({
      facts: JSON.stringify({
        name: 'A',
        fileName: 'a.svg',
        licence: 'own',
        steps: [SIZE],
        layerNames: ['x'],
        layerVinylIds: [3],
      }),
    });
    expect(parseInput(newArtworkInput, readFacts(page))).toEqual({
      name: 'A',
      fileName: 'a.svg',
      licence: 'own',
      steps: [SIZE],
      layerNames: ['x'],
      layerVinylIds: [3],
    });
    const script = new URLSearchParams({ name: 'B', fileName: 'b.svg', widthMm: '120' });
    expect(parseInput(newArtworkInput, readFacts(script))).toMatchObject({
      name: 'B',
      licence: 'unknown',
      steps: [{ kind: 'size', widthMm: 120, on: true }],
    });
  });

  it.each([
    ['no name', { fileName: 'a.svg', widthMm: '100' }, 'name'],
    ['a width of nought', { name: 'a', fileName: 'a.svg', widthMm: '0' }, 'steps[0].widthMm'],
    [
      'an unknown step',
      { facts: JSON.stringify({ name: 'a', fileName: 'a.svg', steps: [{ kind: 'melt', on: true }] }) },
      'steps[0].kind',
    ],
    ['an unknown licence', { facts: JSON.stringify({ name: 'a', fileName: 'a.svg', licence: 'stolen' }) }, 'licence'],
  ])('%s is told at its field', (_, query, field) => {
    try {
      parseInput(newArtworkInput, readFacts(new URLSearchParams(query as Record<string, string>)));
      throw new Error('it was taken');
    } catch (error) {
      expect(error).toBeInstanceOf(ShopError);
      expect((error as ShopError).field).toBe(field);
    }
  });

  it('is refused in words where it is no JSON', () => {
    expect(() => readFacts(new URLSearchParams({ facts: '{broken' }))).toThrow(/not JSON/);
  });
});

describe('changing a drawing', () => {
  const change = (part: object = {}) =>
    parseInput(artworkChange, {
      name: 'Renamed',
      steps: [{ kind: 'size', widthMm: 150, on: true }],
      layerNames: ['a', 'b'],
      layerVinylIds: [null, null],
      licence: 'customer',
      ...part,
    });

  it('measures the original anew by the new steps', async () => {
    const { id } = await saveArtwork(shop, file());
    await changeArtwork(shop, id, change(), 1);
    expect(findArtwork(shop.db, id)).toMatchObject({
      name: 'Renamed',
      licence: 'customer',
      version: 2,
      layerNames: ['a', 'b'],
    });
    expect(findArtwork(shop.db, id)!.measurement.widthMm).toBeCloseTo(150, 2);
    expect(findOriginal(shop.db, id)!.original.toString()).toBe(DRAWING);
  });

  it('tells the second window', async () => {
    const { id } = await saveArtwork(shop, file());
    await changeArtwork(shop, id, change(), 1);
    expect((await refusalOf(changeArtwork(shop, id, change({ name: 'Other' }), 1))).code).toBe('stale');
    expect(findArtwork(shop.db, id)!.name).toBe('Renamed');
    expect((await refusalOf(changeArtwork(shop, 999, change(), 1))).code).toBe('not-found');
  });

  it('refuses steps that leave other layers than the items in use have', async () => {
    const used = priceAllItems(shop)[0]!.item.placements[0]!.artworkId;
    const known = findArtwork(shop.db, used)!;
    const without = change({
      steps: [...known.steps, { kind: 'leave-out', layer: known.measurement.layers[0]!.key, on: true }],
    });
    const refusal = await refusalOf(changeArtwork(shop, used, without, known.version));
    expect([refusal.code, refusal.field]).toEqual(['conflict', 'steps']);
    await changeArtwork(shop, used, change({ steps: known.steps, layerNames: known.layerNames }), known.version);
  });

  it('an artwork off the list is still shown to the item that uses it', () => {
    const { item } = priceAllItems(shop)[0]!;
    archiveArtwork(shop, item.placements[0]!.artworkId, true);
    expect(loadArtworkList(shop).artworks.some((artwork) => artwork.id === item.placements[0]!.artworkId)).toBe(false);
    expect(
      loadItemEditor(shop, item.id, null).artworks.some((artwork) => artwork.id === item.placements[0]!.artworkId),
    ).toBe(true);
    expect(() => archiveArtwork(shop, 999, true)).toThrow(/not here/);
  });
});

describe('what is said of a drawing', () => {
  const ISLET =
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 80"><rect fill="#ff0000" width="60" height="40"/><rect fill="#ff0000" x="70" width="0.4" height="40"/></svg>';
  const islet = () =>
    file({ bytes: Buffer.from(ISLET), steps: [{ kind: 'size', widthMm: 70.4, on: true }], layerVinylIds: [1] });
  const saidOf = (id: number) => loadArtworkView(shop, id).checks;
  const setFloor = (strokeMm: number | null) => {
    const { version, ...vinyl } = findVinyl(shop.db, 1)!;
    changeVinyl(shop, 1, parseInput(vinylInput, { ...vinyl, details: { ...vinyl.details, strokeMm } }), version);
  };

  it('is known without measuring it anew, and is what its page says', async () => {
    const { id } = await saveArtwork(shop, islet());
    const prepared = prepareFile(ISLET, islet().steps, null);
    if (!prepared.ok) throw new Error('Expected: measured');
    const [layer] = prepared.value.facts.measurement.layers;
    const materials = { byLayer: { [layer!.key]: listMaterials(shop, [1])[0]! } };
    expect(saidOf(id)).toEqual(checkPrepared(prepared.value, materials));
    expect(saidOf(id)!.findings).toMatchObject([
      { kind: 'thin-strokes', floorMm: materials.byLayer[layer!.key]!.floor.strokeMm },
    ]);
  });

  it('is not known once its vinyl allows something else, until it is saved again', async () => {
    const { id } = await saveArtwork(shop, islet());
    setFloor(0.2);
    expect(saidOf(id)).toBeNull();
    const { id: again } = await saveArtwork(shop, islet());
    expect(saidOf(again)!.findings).toEqual([]);
    setFloor(null);
    expect(saidOf(again)).toBeNull();
    expect(saidOf(id)!.findings).toMatchObject([{ kind: 'thin-strokes' }]);
  });

  it('is known of every drawing of the demo shop', () => {
    const listed = loadArtworkList(shop).artworks;
    expect(listed.length).toBeGreaterThan(5);
    for (const { id } of listed) expect(saidOf(id)).not.toBeNull();
  });
});
