// Words for stations, states, causes and the like, the same on every screen and label.

import type { Handedness } from '../core/materials';
import type { OrderMove, OrderStage, PartState, SpoilageCause, Station } from '../core/orders';

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
  wish: 'wish',
  quoted: 'quoted',
  approved: 'approved',
  'in-work': 'in work',
  ready: 'ready',
  collected: 'collected',
  sent: 'sent',
  closed: 'closed',
  'on-hold': 'on hold',
  cancelled: 'cancelled',
};
export const CAUSE_NAMES: Readonly<Record<SpoilageCause, string>> = {
  cut: 'cut wrong',
  'cut-through': 'cut through the backing',
  'mirrored-wrong': 'wrong way round',
  weeding: 'torn when weeding',
  lifted: 'lifted at the peel',
  crooked: 'placed crooked',
  scorched: 'scorched',
  'wrong-text': 'wrong name or number',
  'wrong-colour': 'wrong colour',
  'blank-fault': 'fault of the blank',
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

/** Why a step makes no sense where an order stands, and what would. */
export function describeMoveRefusal(move: OrderMove, stage: OrderStage): string {
  const now = `This order is ${stage === 'wish' ? 'only a wish yet' : STAGE_NAMES[stage]}`;
  const reasons: Readonly<Record<OrderMove, string>> = {
    quote: `${now}: only a wish can be quoted.`,
    approve: `${now}: only a wish or a quote can be approved.`,
    hold: `${now}: only an open order can be put on hold.`,
    resume: `${now}, and not on hold.`,
    'hand-over': `${now}: only one that is ready can be collected. Finish and check its last parts first.`,
    send: `${now}: only one that is ready can be sent. Finish and check its last parts first.`,
    'take-back': `${now}, and was not collected or sent.`,
    close: `${now}: only one that was collected or sent can be closed.`,
    cancel: `${now}, and can’t be cancelled any more.`,
    reopen: `${now}: only a closed or cancelled order can be reopened.`,
  };
  return reasons[move];
}
