// Who waits: each by number, what comes next for it, and handing it over once it is done.

import Button from '@mui/material/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { StallQueue as Queue } from '../../views/stall';
import { callApi, wordsOf } from '../shared/api';
import { enqueueSnackbar } from '../shared/snackbar';

const SHOWN = 12;

export function StallQueue({ queue: { orders } }: { readonly queue: Queue }) {
  const client = useQueryClient();
  const move = useMutation({
    mutationFn: ({ id, to }: { id: number; to: 'hand-over' | 'undo' }) =>
      callApi('POST', `/api/orders/${id}/${to}`, {}),
    onSuccess: (_answer, { id, to }) => {
      void client.invalidateQueries({ queryKey: ['stall'] });
      if (to === 'undo') return;
      enqueueSnackbar(`Number ${id} is handed over.`, {
        action: (
          <Button color="inherit" variant="text" onClick={() => move.mutate({ id, to: 'undo' })}>
            Undo
          </Button>
        ),
      });
    },
    onError: (error) => enqueueSnackbar(wordsOf(error), { variant: 'error' }),
  });
  if (orders.length === 0) return null;
  return (
    <section className="sheet above-4" aria-label="Waiting">
      <h2 className="flat below-2">Promised for today</h2>
      <ol className="stall-queue">
        {orders.slice(0, SHOWN).map(({ id, title, stage, waitingFor }) => (
          <li key={id}>
            <strong className="figures">{id}</strong>
            <a href={`/orders/${id}`} className="grow">
              {title}
            </a>
            {stage === 'ready' ? (
              <Button
                variant="contained"
                disabled={move.isPending}
                onClick={() => move.mutate({ id, to: 'hand-over' })}
              >
                Handed over
              </Button>
            ) : (
              <span className="soft">{waitingFor}</span>
            )}
          </li>
        ))}
      </ol>
      {orders.length > SHOWN && <p className="soft flat above-2">and {orders.length - SHOWN} more</p>}
    </section>
  );
}
