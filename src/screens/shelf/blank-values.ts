// A blank as it stands in its form.

import type { Fabric, Heating, PrintArea } from '../../core/materials';

export type BlankValues = {
  name: string;
  supplier: string;
  fabric: Fabric;
  heating: Heating;
  sizes: { name: string; price: number }[];
  colours: { name: string; hex: string }[];
  areas: PrintArea[];
};
