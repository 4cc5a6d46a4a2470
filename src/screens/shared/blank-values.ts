// A blank as it stands in its form.

import type { BlankShape, Fabric, Heating, PrintArea } from '../../core/materials';
import { UNCHOSEN } from '../../theme/tokens';

export type BlankValues = {
  name: string;
  supplier: string;
  fabric: Fabric;
  heating: Heating;
  /** Empty where its name tells. */
  shape: BlankShape | '';
  /** Prices are null until they are typed. */
  sizes: { name: string; price: number | null; widthMm: number | null; lengthMm: number | null }[];
  colours: { name: string; hex: string }[];
  areas: PrintArea[];
};

export const START_BLANK: BlankValues = {
  name: '',
  supplier: '',
  fabric: 'cotton',
  heating: 'flat',
  shape: '',
  sizes: [{ name: 'one size', price: null, widthMm: null, lengthMm: null }],
  colours: [{ name: 'white', hex: UNCHOSEN.white }],
  areas: [],
};
