// Which machines there are: the one place where a driver of a real one would stand beside the simulated.

import type { Database } from '../data/database';
import { readMachine, writeMachine } from '../data/sheet-cut-store';
import type { Cutter } from '../ports/cutter';
import { SimulatedCutter, type CutterMemory, type Pace } from '../sim/simulated-cutter';
import { getShop, type ShopContext } from './context';

const CUTTER = 'cutter';
const CHOICE = 'cutter choice';
export type CutterChoice = 'none' | 'simulated';
const cutters = new WeakMap<Database, SimulatedCutter>();

function getSimulated({ db, now }: ShopContext): SimulatedCutter {
  const known = cutters.get(db);
  if (known) return known;
  const store = {
    read: () => readMachine(db, CUTTER) as CutterMemory | null,
    write: (memory: CutterMemory) => writeMachine(db, CUTTER, memory),
  };
  const cutter = new SimulatedCutter(store, now);
  cutters.set(db, cutter);
  return cutter;
}

/** The demo shop has the simulated one; a real shop takes files to its own until it chooses otherwise. */
const getChoice = (shop: ShopContext): CutterChoice =>
  (readMachine(shop.db, CHOICE) as CutterChoice | null) ?? (getShop(shop).simulated ? 'simulated' : 'none');

/** Null where none is connected. */
export const findCutter = (shop: ShopContext): Cutter | null =>
  getChoice(shop) === 'simulated' ? getSimulated(shop) : null;

export const chooseCutter = (shop: ShopContext, choice: CutterChoice): void => writeMachine(shop.db, CHOICE, choice);

/** How fast the simulated one runs. */
export const getPace = (shop: ShopContext): Pace => getSimulated(shop).getPace();

export type Trick = 'pace-1' | 'pace-60' | 'unplug' | 'plug-in' | 'jam';

/** What may befall a machine, done to the simulated one to see what follows. */
export function playTrick(shop: ShopContext, trick: Trick): void {
  const cutter = getSimulated(shop);
  switch (trick) {
    case 'pace-1':
      return cutter.setPace(1);
    case 'pace-60':
      return cutter.setPace(60);
    case 'unplug':
      return cutter.setPlugged(false);
    case 'plug-in':
      return cutter.setPlugged(true);
    case 'jam':
      return cutter.jam();
    default:
      return trick satisfies never;
  }
}
