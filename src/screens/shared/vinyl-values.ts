// A vinyl as it stands in its form.

import {
  getKindFacts,
  getOrdinaryDetails,
  type PressSetting,
  type VinylDetails,
  type VinylKind,
} from '../../core/materials';
import { UNCHOSEN } from '../../theme/tokens';

export type VinylValues = {
  name: string;
  kind: VinylKind;
  supplier: string;
  colourName: string;
  colourHex: string;
  rollWidthMm: number;
  rollLengthMm: number;
  /** Null until it is typed: a price is never guessed. */
  rollPrice: number | null;
  weedingFactor: number;
  press: PressSetting | null;
  details: VinylDetails;
};

export const START_VINYL: VinylValues = {
  name: '',
  kind: 'smooth',
  supplier: '',
  colourName: '',
  colourHex: UNCHOSEN.slate,
  rollWidthMm: 500,
  rollLengthMm: 5000,
  rollPrice: null,
  weedingFactor: 1,
  press: getKindFacts('smooth').press,
  details: getOrdinaryDetails('smooth'),
};
