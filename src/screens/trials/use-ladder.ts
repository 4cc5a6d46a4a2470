// One ladder: asked for again and again while the machine is at work, and each step sent.

import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import type { CutSetting, TestResult } from '../../core/cutting';
import type { FineResult } from '../../core/trials';
import type { LadderView } from '../../views/trials';
import { callApi, wordsOf } from '../shared/api';
import { showAnswer } from '../shared/show-answer';
import { enqueueSnackbar } from '../shared/snackbar';

type Step = 'cut' | 'cut-fine' | 'result' | 'undo' | 'setting' | 'fine' | 'enough' | 'by-itself' | 'go-on' | 'close';
type Body = {
  readonly setting?: CutSetting;
  readonly result?: TestResult;
  readonly fine?: FineResult;
  readonly enough?: number;
  readonly on?: boolean;
};
const AT_WORK_MS = 500;
const AT_REST_MS = 4000;

export type LadderAtHand = {
  readonly ladder: LadderView;
  readonly pending: boolean;
  readonly step: (name: Step, body?: Body) => void;
  readonly refresh: () => Promise<void>;
  /** Something is done to the cutter: chosen, or set to another pace. */
  readonly cutter: (wish: object) => void;
};

export function useLadder(initial: LadderView): LadderAtHand {
  const client = useQueryClient();
  const queryKey = ['ladder', initial.id];
  const path = `/api/ladders/${initial.id}`;
  const { data: ladder } = useQuery({
    queryKey,
    queryFn: ({ signal }) => callApi<LadderView>('GET', path, undefined, signal),
    initialData: initial,
    refetchInterval: ({ state }) =>
      state.data?.cutter?.job?.state === 'cutting' || state.data?.byItself ? AT_WORK_MS : AT_REST_MS,
  });
  const refresh = () => client.invalidateQueries({ queryKey });
  const sent = useMutation({
    mutationFn: ({ name, body }: { readonly name: Step; readonly body: Body }) =>
      callApi<LadderView>('POST', `${path}/${name}`, body),
    onSuccess: (now) => showAnswer(client, queryKey, now),
    onError: (error) => {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
      void refresh();
    },
  });
  const machine = useMutation({
    mutationFn: (wish: object) => callApi('POST', '/api/cutter', wish),
    onSuccess: refresh,
    onError: (error) => enqueueSnackbar(wordsOf(error), { variant: 'error' }),
  });
  const isDue = ladder.byItself && ladder.cutter?.job?.state !== 'cutting' && !sent.isPending;
  const { mutate } = sent;
  useEffect(() => {
    if (isDue) mutate({ name: 'go-on', body: {} });
  }, [isDue, mutate, ladder]);
  return {
    ladder,
    pending: sent.isPending || machine.isPending,
    step: (name, body = {}) => mutate({ name, body }),
    refresh,
    cutter: (wish) => machine.mutate(wish),
  };
}
