// A bench of which every figure is known: what is cut and pressed on it can be worked out by hand.

import { lotInput } from '../../core/input/index';
import { keyOf, type SupplyKind } from '../../core/stock/index';
import { minor } from '../../core/units/index';
import { loadBlanks, loadVinyls, type StoredBlank, type StoredVinyl } from '../../data/shelf-store';
import { updateShop } from '../../data/shop-store';
import { findLot } from '../../data/stock-store';
import { insertSupply, loadWearOfSession } from '../../data/supply-store';
import { insertSession } from '../../data/work-store';
import { getShop, type ShopContext } from '../context';
import { parseInput } from '../errors';
import type { ReadOrder, ReadPart } from '../orders/read-orders';
import { receiveLot } from '../stock/save-stock';
import { bookWear } from '../stock/save-supplies';
import type { BenchWork } from './book-stock';

/** Five millimetres are free at each side of a roll, ten round a piece; a mat of 300 × 300 mm is free to its edge. */
const FIGURES = {
  cutterEdgeMm: 5,
  weedMarginMm: 10,
  matWidthMm: 300,
  matLengthMm: 300,
  matEdgeMm: 0,
  bladePrice: 600,
  bladeLifeMetres: 300,
  matPrice: 800,
  matLifeLoads: 100,
  coverSheetPrice: 300,
  coverSheetPresses: 100,
  pillowPrice: 1000,
  pillowPresses: 1000,
  heatTape: 6,
  tapePerM2: 200,
  tapeUses: 2,
  decalFilmPerM2: 500,
};

type Shape = Partial<Pick<ReadPart, 'lineId' | 'layerIndex' | 'pieceId' | 'recut' | 'events'>>;
export const partOf = (id: number, shape: Shape = {}): ReadPart =>
  ({ id, lineId: 1, layerIndex: 0, pieceId: id, recut: null, events: [], ...shape }) as ReadPart;

/** A layer of 80 × 40 mm with three metres of path. */
export const layerOf = (vinyl: StoredVinyl, { width = 80, height = 40, metres = 3 } = {}) => ({
  vinyl,
  measurement: {
    box: { x: 0, y: 0, width, height },
    cutLengthMm: metres * 1000,
    keptAreaMm2: width * height,
    weededAreaMm2: 0,
  },
});

/** Nothing lies on the shelf and nothing is in use; rolls are 300 mm wide, 10 m at 6.00: 0.06 of a cent the mm. */
export function layOutBench(shop: ShopContext) {
  const { figures, version, ...identity } = getShop(shop);
  updateShop(shop.db, identity, { ...figures, ...FIGURES }, version);
  const vinyls = loadVinyls(shop.db).filter((vinyl) => vinyl.details.direction === 'none');
  const price = { rollWidthMm: 300, rollLengthMm: 10_000, rollPrice: minor(600) };
  const blank = loadBlanks(shop.db).find(({ sizes, heating }) => sizes.length > 0 && heating === 'flat')!;
  const session = insertSession(shop.db, 'cut', shop.now(), []);
  shop.db.$client.exec('update lots set "left" = 0');
  shop.db.$client.exec('delete from supply_wear');
  const variant = { sizeName: blank.sizes[0]!.name, colourName: blank.colours[0]!.name };
  const receive = (key: string, form: string, quantity: number, unitCost: number, widthMm: number | null): number => {
    const whole = Math.round(quantity * unitCost);
    return receiveLot(shop, parseInput(lotInput, { key, form, widthMm, lengthMm: null, quantity, price: whole })).id;
  };
  return {
    shop,
    session,
    blank,
    heat: { ...vinyls.find((vinyl) => vinyl.kind === 'smooth')!, ...price },
    sticky: { ...vinyls.find((vinyl) => vinyl.kind === 'permanent')!, ...price },
    lineOf: (layers: readonly object[], own: StoredBlank = blank) => ({
      blank: own,
      layers,
      made: { blankId: blank.id, ...variant, recipe: undefined },
    }),
    workOf: (parts: readonly ReadPart[], others: readonly ReadPart[] = [], title = 'Two aprons'): BenchWork => ({
      sessionId: session,
      orders: [{ order: { title }, parts: [...parts, ...others] } as unknown as ReadOrder],
      parts,
    }),
    rollOf: (vinyl: StoredVinyl, quantity: number, unitCost: number, widthMm = 300): number =>
      receive(keyOf({ kind: 'vinyl', vinylId: vinyl.id }), 'roll', quantity, unitCost, widthMm),
    blanksOf: (quantity: number, unitCost: number): number =>
      receive(keyOf({ kind: 'blank', blankId: blank.id, ...variant }), 'piece', quantity, unitCost, null),
    leftOf: (lotId: number): number => findLot(shop.db, lotId)!.left,
    fit(kind: SupplyKind): void {
      const plain = { supplier: '', widthMm: null, tack: null, angleDegrees: null, life: null, note: '' };
      const id = insertSupply(shop.db, { name: `Own ${kind}`, kind, ...plain });
      bookWear(shop, id, { kind: 'fitted', amount: 0, fromStock: false });
    },
    wornOf: (kind: SupplyKind) => loadWearOfSession(shop.db, session).find((wear) => wear.kind === kind),
  };
}
export type HandBench = ReturnType<typeof layOutBench>;
