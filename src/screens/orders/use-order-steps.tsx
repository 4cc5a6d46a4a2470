// Steps of an order, told where they succeed with a way back, and in words where they are refused.

import Button from '@mui/material/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { OrderMove } from '../../core/orders';
import type { OrderView } from '../../views/orders';
import { MOVE_DONE } from '../../wording/order-moves';
import { callApi, createByApi, wordsOf } from '../shared/api';
import { showAnswer } from '../shared/show-answer';
import { enqueueSnackbar } from '../shared/snackbar';

type Move = { readonly move: OrderMove | 'undo'; readonly detail?: string; readonly owedGivenUp?: boolean };

const sayDone = (move: Move['move']): string => {
  const done = MOVE_DONE[move];
  return `${done[0]!.toUpperCase()}${done.slice(1)}.`;
};

export type OrderSteps = ReturnType<typeof useOrderSteps>;

export function useOrderSteps(id: number, key: readonly unknown[]) {
  const client = useQueryClient();
  const path = `/api/orders/${id}`;
  const refresh = () => void client.invalidateQueries({ queryKey: key });
  const refuse = (error: unknown) => void enqueueSnackbar(wordsOf(error), { variant: 'error' });
  const move = useMutation({
    mutationFn: ({ move: to, ...body }: Move) => callApi<OrderView>('POST', `${path}/${to}`, body),
    onSuccess: (view, { move: to }) => {
      showAnswer(client, key, view);
      enqueueSnackbar(sayDone(to), {
        action:
          to !== 'undo' && view.undo ? (
            <Button color="inherit" variant="text" onClick={() => move.mutate({ move: 'undo' })}>
              Undo
            </Button>
          ) : undefined,
      });
    },
    onError: refuse,
  });
  const call = useMutation({
    mutationFn: (send: () => Promise<unknown>) => send(),
    onSuccess: refresh,
    onError: refuse,
  });
  return {
    refresh,
    isBusy: move.isPending || call.isPending,
    move: (to: Move['move'], more: Omit<Move, 'move'> = {}) => move.mutate({ move: to, ...more }),
    /** `key`: the same for a payment that is sent again. */
    pay: (payment: object, key: string) => call.mutateAsync(() => createByApi(`${path}/payments`, payment, key)),
    takePaymentBack: (payment: number) => call.mutate(() => callApi('POST', `/api/payments/${payment}/take-back`)),
    makeProof: () => call.mutate(() => callApi('POST', `${path}/proof`)),
    mailProof: () =>
      call.mutate(async () => {
        const { file } = await callApi<{ file: string }>('POST', `${path}/proof/mail`);
        enqueueSnackbar(`Simulated: nothing is sent. The email is in the folder “outbox” beside your data: ${file}`);
      }),
    approveProof: (by: string) => call.mutateAsync(() => callApi('PUT', `${path}/proof`, { by })),
  };
}
