// Where an order stands, in a sentence, and the steps that make sense from there: the likeliest first.

import Button from '@mui/material/Button';
import { useState } from 'react';
import { isOver, type OrderMove } from '../../core/orders';
import { formatDuration, formatMoney } from '../../core/units';
import type { OrderView } from '../../views/orders';
import { MOVE_NAMES } from '../../wording/order-moves';
import { describeRest } from '../../wording/orders';
import { plural } from '../../wording/plural';
import { STAGE_NAMES } from '../../wording/stations';
import { late } from '../shared/late';
import { useSettings } from '../shared/settings';
import type { OrderSteps } from './use-order-steps';

const AskText = late(() => import('../shared/AskText'));

type Props = { readonly view: OrderView; readonly steps: OrderSteps; readonly onChange: () => void };

/** The step that usually follows. */
const LIKELIEST: readonly OrderMove[] = ['hand-over', 'resume', 'approve'];
/** What is asked before; the answer is kept in the story of the order. */
const ASKED: Partial<Record<OrderMove, { readonly title: string; readonly label: string }>> = {
  approve: { title: 'Approved', label: 'By whom, and how' },
  hold: { title: 'Put on hold', label: 'What it waits for' },
};

export function OrderHead({ view, steps, onChange }: Props) {
  const settings = useSettings();
  const [asking, setAsking] = useState<OrderMove | null>(null);
  const { row, moves } = view;
  const isOwed = view.money.owed.value > 0;
  const start = (move: OrderMove) => {
    if (ASKED[move]) setAsking(move);
    else steps.move(move, move === 'close' ? { owedGivenUp: true } : {});
  };
  const first = LIKELIEST.find((move) => moves.includes(move));
  return (
    <div className="page-head">
      <div>
        <h1 className="flat">
          {row.title} <span className="tag">{STAGE_NAMES[row.stage]}</span>
        </h1>
        <p className="flat above-1 text-large">{describeOrder(view, settings)}</p>
        {view.rests.map((rest) => (
          <p key={rest.kind} className="flat above-1">
            {describeRest(rest, settings)}
          </p>
        ))}
      </div>
      <div className="actions">
        {moves.map((move) => (
          <Button
            key={move}
            variant={move === first ? 'contained' : 'outlined'}
            color={move === 'cancel' ? 'error' : 'primary'}
            disabled={steps.isBusy}
            onClick={() => start(move)}
          >
            {move === 'close' && isOwed ? 'Close, giving up what is owed' : MOVE_NAMES[move]}
          </Button>
        ))}
        {!isOver(row.stage) && <Button onClick={onChange}>Change</Button>}
        {view.undo && (
          <Button variant="text" disabled={steps.isBusy} onClick={() => steps.move('undo')}>
            Undo “{view.undo}”
          </Button>
        )}
      </div>
      {asking && (
        <AskText
          {...ASKED[asking]!}
          button={MOVE_NAMES[asking]}
          onClose={() => setAsking(null)}
          onTake={(detail) => {
            steps.move(asking, { detail });
            setAsking(null);
          }}
        />
      )}
    </div>
  );
}

function describeOrder(view: OrderView, settings: ReturnType<typeof useSettings>): string {
  const { row, against, profit, money } = view;
  const pieces = row.comb.length;
  const made = plural(pieces, 'piece');
  const took = formatDuration(against.time.real.value, settings);
  const quoted = formatDuration(against.time.quoted.value, settings);
  switch (row.stage) {
    case 'wish':
      return `Not agreed yet: ${made}, about ${quoted} of work. Nothing is held for it.`;
    case 'quoted':
      return `Quoted at ${formatMoney(row.agreed, settings)}, and waiting for a yes. Nothing is held for it.`;
    case 'on-hold':
      return `On hold, with about ${formatDuration(row.neededSeconds, settings)} of work left. Its vinyl and blanks stay held.`;
    case 'collected':
    case 'sent':
      return `${made} took ${took} instead of ${quoted}. ${formatMoney(money.owed.value, settings)} is still owed.`;
    case 'closed':
      return `${made} took ${took} instead of ${quoted}; ${formatMoney(profit.value, settings)} of ${formatMoney(row.agreed, settings)} is yours.`;
    case 'cancelled':
      return `Cancelled after ${took} of work.`;
    case 'ready':
      return `${pieces === 1 ? 'The piece is' : `All ${made} are`} checked and can be collected: it took ${took}, quoted ${quoted}.`;
    case 'approved':
    case 'in-work':
      return `Next: ${row.waitingFor}. About ${formatDuration(row.neededSeconds, settings)} of work left for ${made}.`;
    default:
      return row.stage satisfies never;
  }
}
