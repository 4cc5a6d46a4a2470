// A vinyl as it stands in its form.

import type { VinylKind, PressSetting, VinylDetails } from '../../core/materials';

export type VinylValues = {
  name: string;
  kind: VinylKind;
  supplier: string;
  colourName: string;
  colourHex: string;
  rollWidthMm: number;
  rollLengthMm: number;
  rollPrice: number;
  weedingFactor: number;
  press: PressSetting | null;
  details: VinylDetails;
};
