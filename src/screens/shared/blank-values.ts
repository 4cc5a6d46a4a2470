// A blank as it stands in its form.

import type { Fabric, Heating, PrintArea } from '../../core/materials';
import { UNCHOSEN } from '../../theme/tokens';

export type BlankValues = {
  name: string;
  supplier: string;
  fabric: Fabric;
  heating: Heating;
  /** Prices are null until they are typed. */
  sizes: { name: string; price: number | null }[];
  colours: { name: string; hex: string }[];
  areas: PrintArea[];
};

export const START_BLANK: BlankValues = {
  name: '',
  supplier: '',
  fabric: 'cotton',
  heating: 'flat',
  sizes: [{ name: 'one size', price: null }],
  colours: [{ name: 'white', hex: UNCHOSEN.white }],
  areas: [],
};
