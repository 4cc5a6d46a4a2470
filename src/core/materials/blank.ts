// What a blank is, and how much heat its fabric stands.

import type { Minor } from '../units';
import type { BlankShape } from './blank-shape';
import type { PrintArea } from './print-area';

/** Highest temperature in °C that each surface takes; null where nothing is pressed on it. */
export const FABRICS = {
  cotton: { label: 'cotton', ceilingC: 200 },
  canvas: { label: 'canvas', ceilingC: 190 },
  'cotton-poly': { label: 'cotton and polyester', ceilingC: 165 },
  polyester: { label: 'polyester', ceilingC: 150 },
  softshell: { label: 'softshell or nylon', ceilingC: 135 },
  coated: { label: 'waterproof coating', ceilingC: 120 },
  'leather-look': { label: 'leather-look', ceilingC: 120 },
  enamel: { label: 'ceramic or enamel', ceilingC: 160 },
  wood: { label: 'wood', ceilingC: 150 },
  'decal-film': { label: 'clear decal film', ceilingC: 160 },
  'glass-tin': { label: 'glass, tin or paper', ceilingC: null },
} as const;
export type Fabric = keyof typeof FABRICS;
export const FABRIC_NAMES = Object.keys(FABRICS) as readonly Fabric[];

/** On what it is pressed: flat platen, wrap press, or not with heat at all. */
export type Heating = 'flat' | 'wrap' | 'none';
export const HEATINGS: readonly Heating[] = ['flat', 'wrap', 'none'];

export type BlankSize = {
  readonly name: string;
  readonly price: Minor;
  /** Laid flat, mm: across the chest or the widest place, and from top to hem; null or left out where it is not measured. */
  readonly widthMm?: number | null;
  readonly lengthMm?: number | null;
};
export type BlankColour = { readonly name: string; readonly hex: string };
export type Blank = {
  readonly id: number;
  readonly name: string;
  readonly fabric: Fabric;
  readonly heating: Heating;
  readonly sizes: readonly BlankSize[];
  readonly colours: readonly BlankColour[];
  readonly areas: readonly PrintArea[];
  /** Which outline is drawn of it; null or left out where its name tells. */
  readonly shape?: BlankShape | null;
};

export const getCeiling = (blank: Pick<Blank, 'fabric'>): number | null => FABRICS[blank.fabric].ceilingC;
