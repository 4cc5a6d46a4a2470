// Which machines there are: the one place where drivers of real ones would stand beside the simulated.

import type { Database } from '../data/database';
import { readMachine, writeMachine } from '../data/sheet-cut-store';
import type { Cutter } from '../ports/cutter';
import type { Press } from '../ports/press';
import { SimulatedCutter, type CutterMemory, type MemoryStore, type Pace } from '../sim/simulated-cutter';
import { SimulatedPress, type PressMemory } from '../sim/simulated-press';
import { getShop, type ShopContext } from './context';

export type DeviceChoice = 'none' | 'simulated';
type Device = 'cutter' | 'press';
type Simulated = { readonly cutter: SimulatedCutter; readonly press: SimulatedPress };
const simulated = new WeakMap<Database, Simulated>();

function getSimulated({ db, now }: ShopContext): Simulated {
  const known = simulated.get(db);
  if (known) return known;
  const storeOf = <Memory>(device: Device): MemoryStore<Memory> => ({
    read: () => readMachine(db, device) as Memory | null,
    write: (memory) => writeMachine(db, device, memory),
  });
  const made = {
    cutter: new SimulatedCutter(storeOf<CutterMemory>('cutter'), now),
    press: new SimulatedPress(storeOf<PressMemory>('press'), now),
  };
  simulated.set(db, made);
  return made;
}

const nameChoice = (device: Device): string => `${device} choice`;
/** The demo shop has simulated ones; a real shop works with its own by hand until it chooses otherwise. */
const getChoice = (shop: ShopContext, device: Device): DeviceChoice =>
  (readMachine(shop.db, nameChoice(device)) as DeviceChoice | null) ?? (getShop(shop).simulated ? 'simulated' : 'none');
export const chooseDevice = ({ db }: ShopContext, device: Device, choice: DeviceChoice): void =>
  writeMachine(db, nameChoice(device), choice);

/** Null where none is connected. */
export const findCutter = (shop: ShopContext): Cutter | null =>
  getChoice(shop, 'cutter') === 'simulated' ? getSimulated(shop).cutter : null;
export const findPress = (shop: ShopContext): Press | null =>
  getChoice(shop, 'press') === 'simulated' ? getSimulated(shop).press : null;

/** How fast the simulated cutter runs. */
export const getPace = (shop: ShopContext): Pace => getSimulated(shop).cutter.getPace();

export type Trick = 'pace-1' | 'pace-60' | 'unplug' | 'plug-in' | 'jam' | 'blind' | 'see';

/** What may befall a machine, done to a simulated one to see what follows. */
export function playTrick(shop: ShopContext, trick: Trick): void {
  const { cutter, press } = getSimulated(shop);
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
    case 'blind':
      return press.setBlind(true);
    case 'see':
      return press.setBlind(false);
    default:
      return trick satisfies never;
  }
}
