// What can be done with all orders that were chosen, with a way back.

import Button from '@mui/material/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { OrderMove } from '../../core/orders';
import type { ListedOrder, MovedOrders } from '../../views/orders';
import { plural } from '../../wording/plural';
import { MOVE_DONE, MOVE_NAMES } from '../../wording/order-moves';
import { callApi, wordsOf } from '../shared/api';
import { enqueueSnackbar } from '../shared/snackbar';

type Props = { readonly orders: readonly ListedOrder[]; readonly onDone: () => void };

/** Closing may give up money, and reopening is rare: those are done one by one. */
const OFFERED: readonly OrderMove[] = [
  'quote',
  'approve',
  'hold',
  'resume',
  'hand-over',
  'send',
  'take-back',
  'cancel',
];

export function MoveSeveral({ orders, onDone }: Props) {
  const client = useQueryClient();
  const send = useMutation({
    mutationFn: (wish: { ids: readonly number[]; move: OrderMove | 'undo' }) =>
      callApi<MovedOrders>('POST', '/api/orders/move', wish),
    onSuccess: ({ moved, refused }, { move }) => {
      onDone();
      void client.invalidateQueries({ queryKey: ['list'] });
      const isBack = move === 'undo';
      if (moved.length > 0)
        enqueueSnackbar(`${plural(moved.length, 'order')} ${MOVE_DONE[move]}.`, {
          action: isBack ? undefined : (
            <Button color="inherit" variant="text" onClick={() => send.mutate({ ids: moved, move: 'undo' })}>
              Undo
            </Button>
          ),
        });
      for (const { id, words } of refused) enqueueSnackbar(`Order ${id}: ${words}`, { variant: 'error' });
    },
    onError: (error) => enqueueSnackbar(wordsOf(error), { variant: 'error' }),
  });
  const possible = OFFERED.filter((move) => orders.every(({ moves }) => moves.includes(move)));
  return (
    <div
      className="actions pad-top-3 pad-right-4 pad-bottom-3 pad-left-4 no-print"
      role="group"
      aria-label="Selected orders"
    >
      <span className="grow">
        {plural(orders.length, 'order')} selected
        {possible.length === 0 && <span className="soft">: no step makes sense for all of them</span>}
      </span>
      {possible.map((move) => (
        <Button
          key={move}
          size="small"
          color={move === 'cancel' ? 'error' : 'primary'}
          disabled={send.isPending}
          onClick={() => send.mutate({ ids: orders.map(({ id }) => id), move })}
        >
          {MOVE_NAMES[move]}
        </Button>
      ))}
      <Button size="small" variant="text" onClick={onDone}>
        Clear the selection
      </Button>
    </div>
  );
}
