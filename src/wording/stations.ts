// Words for stations, states, causes and the like, the same on every screen and label.

import type { Handedness } from '../core/materials';
import type { OrderStage, PartState, SpoilageCause, Station } from '../core/orders';

export const STATION_NAMES: Readonly<Record<Station, string>> = {
  cut: 'Cut',
  weed: 'Weed',
  press: 'Press',
  check: 'Check',
};
export const STATE_NAMES: Readonly<Record<PartState, string>> = {
  'to-cut': 'to cut',
  cut: 'cut',
  weeded: 'weeded',
  pressed: 'pressed',
  checked: 'checked',
};
export const STAGE_NAMES: Readonly<Record<OrderStage, string>> = {
  'to-cut': 'not begun',
  'in-work': 'in work',
  ready: 'ready',
  'handed-over': 'collected',
  cancelled: 'cancelled',
};
export const CAUSE_NAMES: Readonly<Record<SpoilageCause, string>> = {
  cut: 'cut wrong',
  'mirrored-wrong': 'wrong way round',
  weeding: 'torn when weeding',
  lifted: 'lifted at the peel',
  crooked: 'placed crooked',
  scorched: 'scorched',
  'wrong-text': 'wrong name or number',
  'wrong-colour': 'wrong colour',
  other: 'something else',
};

export function describeHandedness({ mirrored, because }: Handedness): string {
  const reasons: Record<Handedness['because'], string> = {
    'carrier-down': 'carrier down',
    'masked-print': 'printed face up, with a mask',
    'face-up': 'face up on its liner',
    'seen-through': 'seen through from behind',
  };
  return `${mirrored ? 'mirrored' : 'not mirrored'}: ${reasons[because]}`;
}
