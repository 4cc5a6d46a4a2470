// One function a cost line: its exact amount in cash, time and risk, with its working. Rounding is not done here.
import { getShopFigure, type ShopFigures, type Vinyl } from '../materials';
import { SECONDS_PER_HOUR, type Figure, type Source } from '../units';
export type ExactLine = {
  readonly id: string;
  readonly stage:
    | 'blank'
    | 'artwork'
    | 'vinyl'
    | 'tape'
    | 'stones'
    | 'extra'
    | 'set-up'
    | 'cut'
    | 'weed'
    | 'press'
    | 'wear'
    | 'risk'
    | 'check'
    | 'pack'
    | 'order'
    | 'returns'
    | 'overhead';
  readonly label: string;
  readonly source: Source;
  readonly how: string;
  readonly parts: readonly Figure[];
  /** Exact amounts in minor units, fractions included. */
  readonly cash: number;
  readonly time: number;
  readonly risk: number;
  readonly handsSeconds: number;
  /** Between which your seconds lie; both are those calculated with where nothing is known of it. */
  readonly lowSeconds: number;
  readonly highSeconds: number;
  readonly waitSeconds: number;
};

type LineInput = Pick<ExactLine, 'id' | 'stage' | 'label' | 'source' | 'how' | 'parts'> & Partial<ExactLine>;
export const line = (input: LineInput): ExactLine => ({
  cash: 0,
  time: 0,
  risk: 0,
  waitSeconds: 0,
  handsSeconds: 0,
  lowSeconds: input.handsSeconds ?? 0,
  highSeconds: input.handsSeconds ?? 0,
  ...input,
});
export const wageFor = (seconds: number, shop: ShopFigures): number => (seconds / SECONDS_PER_HOUR) * shop.wagePerHour;
export const wage = (shop: ShopFigures): Figure => getShopFigure(shop, 'wagePerHour');

/** A layer's lines: `where` it goes on the blank, where there are several places. */
export type Named = { readonly index: number; readonly vinyl: Vinyl; readonly where?: string | undefined };
export const nameLayer = ({ vinyl, where }: Named): string => (where ? `${vinyl.name}, ${where}` : vinyl.name);
