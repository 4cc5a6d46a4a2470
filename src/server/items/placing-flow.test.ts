// Where things sit on a blank: kept with the item, told at the bench, printed at full size, bent for a tapered wall.

import { inflateSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { readPdfPages } from '../../../test/read-pdf';
import { measureArtwork, readSvg } from '../../core/artwork';
import { resolveVariant } from '../../core/costing';
import { itemInput, placingsInput } from '../../core/input';
import { placeArtwork, planBendOf } from '../../core/placing';
import { findItem, loadItems } from '../../data/item-store';
import { findOrder } from '../../data/order-store';
import { loadBlanks } from '../../data/shelf-store';
import { parseInput } from '../errors';
import { placeOrder } from '../orders/save-order';
import { findInTheWay } from './find-in-the-way';
import { loadLinePlacing, loadPlacing } from './load-placing';
import { loadMaterials } from './materials';
import { printGuide, writeBent } from './placing-papers';
import { addItem, changePlacing } from './save-item';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const itemNamed = (name: string) => loadItems(shop.db).find((item) => item.name === name)!;
const JACKET = 'Crew rain jacket, crest';
const CREW = 'Crew jacket, crest and club mark';

function save(name: string, change: (artworks: ReturnType<typeof bodyOf>) => unknown): void {
  const { id, version } = itemNamed(name);
  changePlacing(shop, id, parseInput(placingsInput, { artworks: change(bodyOf(name)) }), version);
}
const bodyOf = (name: string) =>
  loadPlacing(shop, itemNamed(name).id).artworks.map(({ placing, widthMm, widths }) => ({ placing, widthMm, widths }));

describe('a placing', () => {
  it('is kept with its artwork, those of options too, and nothing else of the item moves', () => {
    const before = itemNamed(CREW);
    const moved = { spot: null, dropMm: 60, asideMm: null };
    save(CREW, (artworks) => artworks.map((one, at) => (at === 2 ? { ...one, placing: moved } : one)));
    const after = findItem(shop.db, before.id)!;
    expect(after.details.options[0]!.placement.placing).toEqual(moved);
    expect(after.placements).toEqual(before.placements);
    expect({ ...after, details: 0, version: 0, acceptedCost: 0 }).toEqual({
      ...before,
      details: 0,
      version: 0,
      acceptedCost: 0,
    });
    expect(after.version).toBe(before.version + 1);
  });

  it('of an older version is refused, and so is one for other artworks than the item has', async () => {
    const { id, version } = itemNamed(JACKET);
    const input = parseInput(placingsInput, { artworks: bodyOf(JACKET) });
    changePlacing(shop, id, input, version);
    expect((await refusalOf(() => changePlacing(shop, id, input, version))).code).toBe('stale');
    const two = parseInput(placingsInput, { artworks: [...bodyOf(JACKET), ...bodyOf(JACKET)] });
    expect((await refusalOf(() => changePlacing(shop, id, two, version + 1))).code).toBe('stale');
  });

  it('has widths for sizes that the blank has, and none for others', () => {
    save(JACKET, ([one]) => [{ ...one, widths: { S: 210, XL: 270, huge: 400 } }]);
    expect(itemNamed(JACKET).placements[0]!.widths).toEqual({ S: 210, XL: 270 });
  });

  it('moved onto the zip, it stands in the way of the item', () => {
    const item = itemNamed(CREW);
    const tell = () => {
      const now = findItem(shop.db, item.id)!;
      const made = resolveVariant(now, { sizeName: 'M', colourName: now.colourName, options: [] });
      return findInTheWay(shop, made, loadMaterials(shop, { made: [made] })).map(({ what, todo }) => `${what} ${todo}`);
    };
    expect(tell().filter((words) => words.includes('zip'))).toEqual([]);
    // 110 mm are free, 80 of them taken in the middle: 15 to the left, where the zip takes 14.
    save(CREW, (artworks) =>
      artworks.map((one, at) => (at === 1 ? { ...one, placing: { spot: null, dropMm: null, asideMm: -8 } } : one)),
    );
    expect(tell().filter((words) => words.includes('zip'))).toHaveLength(1);
  });

  it('is told at the bench as it was ordered', () => {
    const item = itemNamed(JACKET);
    const order = placeOrder(shop, {
      title: 'Jackets',
      customerName: 'Ada Brook',
      contact: '',
      dueDay: '2026-12-09',
      agreed: 9000,
      note: '',
      lines: [{ itemId: item.id, quantity: 1, sizeName: 'S', colourName: item.colourName }],
    });
    const line = findOrder(shop.db, order.id)!.lines[0]!;
    save(JACKET, ([one]) => [{ ...one, placing: { spot: null, dropMm: 200, asideMm: null } }]);
    const view = loadLinePlacing(shop, line.id);
    expect([view.sizeName, view.artworks[0]!.placing, view.artworks[0]!.place]).toEqual([
      'S',
      null,
      'back, 100 mm below the collar',
    ]);
    // The area of size S begins 90 mm down, not 100.
    const [one] = view.artworks;
    expect(placeArtwork(view.blank, 'S', { ...one!, heightMm: 1 }).drop.value).toBe(90);
  });
});

/** Drawing operators of all pages, as they stand in the file. */
function readOperators(bytes: Uint8Array): string {
  const text = Buffer.from(bytes).toString('latin1');
  return [...text.matchAll(/stream\r?\n([\s\S]*?)\r?\nendstream/g)]
    .map(([, stream]) => {
      try {
        return inflateSync(Buffer.from(stream!, 'latin1')).toString('latin1');
      } catch {
        return '';
      }
    })
    .join('\n');
}

describe('the printed guide', () => {
  it('is at full size: millimetres as they are, over as many pages as it takes', async () => {
    const { id } = itemNamed(JACKET);
    const response = await printGuide(shop, id, new URLSearchParams({ artwork: '0', size: 'XL' }), 'metric');
    expect(response.headers.get('content-type')).toBe('application/pdf');
    const bytes = new Uint8Array(await response.arrayBuffer());
    const pages = await readPdfPages(bytes);
    expect(pages).toHaveLength(3);
    expect(pages[0]).toMatch(/XL: Crossed oars/);
    expect(pages[0]).toMatch(/100 mm down from the collar: there its top edge lies/);
    expect(pages[1]).toMatch(/A1\s+of 2/);
    const operators = readOperators(bytes);
    // A millimetre is 72 ÷ 25.4 points; the artwork's box is 240 mm wide, 100 mm below the collar.
    expect(operators).toContain('2.834646 0 0 2.834646 0 0 cm');
    expect(operators).toMatch(/\n8 108 240 188\.66\d* re/);
    // The ruler on the first page: 100 mm are 283.46 points.
    const [, from, to] = /\n([\d.]+) [\d.]+ m\n([\d.]+) [\d.]+ l/.exec(operators)!;
    expect(Number(to) - Number(from)).toBeCloseTo(283.4646, 3);
  });

  it('of what the item has not is not found', async () => {
    const { id } = itemNamed(JACKET);
    await expect(printGuide(shop, id, new URLSearchParams({ artwork: '7' }), 'metric')).rejects.toThrow(/not here/);
  });
});

describe('a layer for a tapered cup', () => {
  function addCup() {
    const cup = loadBlanks(shop.db).find(({ name }) => name === 'Enamel camp cup')!;
    const apron = itemNamed('Bakery apron');
    const { id: _id, version: _version, archived: _archived, acceptedCost: _accepted, ...fields } = apron;
    const placements = [{ ...apron.placements[0]!, place: 'wall, for a right-handed drinker', widthMm: 60 }];
    const [colour] = cup.colours;
    const [size] = cup.sizes;
    const input = { ...fields, blankId: cup.id, sizeName: size!.name, colourName: colour!.name, placements };
    return addItem(shop, parseInput(itemInput, input)).id;
  }

  it('comes bent and mirrored as it is cut, as large as its arc', async () => {
    const id = addCup();
    const view = loadPlacing(shop, id);
    const [one] = view.artworks;
    const placed = placeArtwork(view.blank, view.sizeName, { ...one!, heightMm: 60 * one!.aspect });
    expect(placed.spot).toBe('seen right-handed');
    const bend = planBendOf(placed)!;
    const straight = await measureLayer(id, 0);
    const response = await writeBent(shop, id, new URLSearchParams({ artwork: '0', layer: '0' }));
    const svg = await response.text();
    expect(svg).toContain('mirrored');
    const bent = readSvg(svg);
    if (!bent.ok) throw new Error(bent.problem.kind);
    const angle = 60 / bend.radius.value;
    const widest = 2 * (bend.radius.value + (60 * one!.aspect) / 2) * Math.sin(angle / 2);
    const width = Number(/width="([\d.]+)mm"/.exec(svg)![1]);
    expect(width).toBeCloseTo(widest, 2);
    const measured = measureArtwork(bent.value, { widthMm: straight.layerWidthMm });
    if (!measured.ok) throw new Error(measured.problem.kind);
    expect(measured.value.layers[0]!.pieces).toBe(straight.pieces);
    expect(measured.value.layers[0]!.cavities).toBe(straight.cavities);
  });

  it('is not there on a straight wall', async () => {
    const { id } = itemNamed('Seed tin, labelled');
    await expect(writeBent(shop, id, new URLSearchParams())).rejects.toThrow(/not here/);
  });

  async function measureLayer(itemId: number, layer: number) {
    const item = findItem(shop.db, itemId)!;
    const materials = loadMaterials(shop, { plans: [item] });
    const { measurement } = materials.artwork(item.placements[0]!.artworkId)!;
    const own = measurement.layers[layer]!;
    return {
      pieces: own.pieces,
      cavities: own.cavities,
      layerWidthMm: (own.box.width * 60) / measurement.widthMm,
    };
  }
});
