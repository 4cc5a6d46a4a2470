// One trial side by side: asked for again while it is open, and each step sent.

import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { SideClock, SideSheet } from '../../core/trials';
import type { SideView } from '../../views/trials';
import { callApi, wordsOf } from '../shared/api';
import { showAnswer } from '../shared/show-answer';
import { enqueueSnackbar } from '../shared/snackbar';

export type SideAtHand = {
  readonly side: SideView;
  readonly pending: boolean;
  readonly clock: (candidateId: number, clock: SideClock | null) => void;
  readonly fill: (candidateId: number, sheet: SideSheet) => Promise<unknown>;
  readonly reopen: (candidateId: number) => void;
  readonly step: (name: 'close' | 'go-on') => void;
  readonly refresh: () => void;
};

export function useSide(initial: SideView): SideAtHand {
  const client = useQueryClient();
  const queryKey = ['side', initial.id];
  const path = `/api/sides/${initial.id}`;
  const { data: side } = useQuery({
    queryKey,
    queryFn: ({ signal }) => callApi<SideView>('GET', path, undefined, signal),
    initialData: initial,
  });
  const refresh = () => void client.invalidateQueries({ queryKey });
  const sent = useMutation({
    mutationFn: ({ to, body }: { readonly to: string; readonly body: object }) =>
      callApi<SideView>('POST', `${path}/${to}`, body),
    onSuccess: (now) => showAnswer(client, queryKey, now),
    onError: (error) => {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
      refresh();
    },
  });
  const at = (id: number, step: string) => `candidates/${id}/${step}`;
  return {
    side,
    pending: sent.isPending,
    clock: (id, clock) => sent.mutate({ to: at(id, 'clock'), body: { clock } }),
    fill: (id, sheet) => sent.mutateAsync({ to: at(id, 'sheet'), body: sheet }),
    reopen: (id) => sent.mutate({ to: at(id, 'open'), body: {} }),
    step: (name) => sent.mutate({ to: name, body: {} }),
    refresh,
  };
}
