// A load at the cutter: all of it asked for once, how it stands asked again and again, and each step sent.

import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import type { CutSetting, TestResult } from '../../../core/cutting';
import type { LeftoverKind } from '../../../core/nesting';
import type { LoadStateView, LoadView } from '../../../views/load';
import { describeCutLoad } from '../../../wording/nesting';
import { callApi, wordsOf } from '../../shared/api';
import { showAnswer } from '../../shared/show-answer';
import { useUnreadReason } from '../../shared/use-unread-reason';
import { enqueueSnackbar } from '../../shared/snackbar';

type CutStep = 'width' | 'test' | 'test-result' | 'send' | 'pause' | 'resume' | 'abort' | 'cut' | 'give-up';
type StepBody = {
  readonly sheet: number;
  readonly widthMm?: number | null;
  readonly setting?: CutSetting;
  readonly result?: TestResult;
  readonly untested?: boolean;
};
type Trick = 'pace-1' | 'pace-60' | 'unplug' | 'plug-in' | 'jam';
type LeftoverWish = LeftoverKind | 'nothing';

/** While the machine is at work it is looked at this often; else another window may have done something. */
const AT_WORK_MS = 700;
const AT_REST_MS = 4000;
const isAtWork = (state: LoadStateView | undefined): boolean => state?.cutter?.job?.state === 'cutting';

export type LoadAtCutter = {
  /** Undefined while it is made ready. */
  readonly load: LoadView | undefined;
  readonly failure: string | null;
  readonly retry: () => void;
  readonly pending: boolean;
  readonly step: (name: CutStep, body: StepBody) => void;
  /** How the figure that was cut last came out is told already. */
  readonly isResultKnown: boolean;
  readonly tellResult: (body: StepBody) => void;
  readonly trick: (trick: Trick) => void;
  readonly choose: (choice: 'none' | 'simulated') => void;
  readonly leftovers: ReadonlyMap<number, LeftoverWish>;
  readonly keepLeftover: (sheet: number, kind: LeftoverWish) => void;
  /** It is cut: all of it leaves the stock, and its parts move on. */
  readonly book: (unreadReason?: string) => void;
  readonly dialog: ReactNode;
};

export function useLoad(sessionId: number, onChanged: () => void): LoadAtCutter {
  const client = useQueryClient();
  const path = `/api/work-sessions/${sessionId}/load`;
  const whole = useQuery({
    queryKey: ['load', sessionId],
    queryFn: ({ signal }) => callApi<LoadView>('GET', path, undefined, signal),
    retry: false,
  });
  const stateKey = ['load-state', sessionId];
  const state = useQuery({
    queryKey: stateKey,
    queryFn: ({ signal }) => callApi<LoadStateView>('GET', `${path}/state`, undefined, signal),
    enabled: whole.data !== undefined,
    refetchInterval: ({ state: known }) => (isAtWork(known.data) ? AT_WORK_MS : AT_REST_MS),
  });
  const lookAgain = () => client.invalidateQueries({ queryKey: stateKey });
  const sent = useMutation({
    mutationFn: ({ name, body }: { readonly name: CutStep; readonly body: StepBody }) =>
      callApi<LoadStateView & { readonly isGone: boolean }>('POST', `${path}/${name}`, body),
    onSuccess: ({ isGone, ...now }) => {
      showAnswer(client, stateKey, now);
      if (!isGone) return;
      enqueueSnackbar('The piece is booked as spoiled. Its parts wait again: lay them out anew under Cut sheets.');
      onChanged();
    },
    onError: (error) => {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
      void lookAgain();
    },
  });
  const machine = useMutation({
    mutationFn: (body: object) => callApi('POST', '/api/cutter', body),
    onSuccess: lookAgain,
    onError: (error) => enqueueSnackbar(wordsOf(error), { variant: 'error' }),
  });
  const load = whole.data && { ...whole.data, ...state.data };
  const { cutter, sheets } = load ?? {};
  const tested = sheets?.find(({ sheet }) => sheet === cutter?.job?.sheet);
  const isResultKnown = (tested?.tests.length ?? 0) > (cutter?.job?.test ?? 0);
  const booking = useBooking(load, onChanged);
  return {
    load,
    failure: whole.error ? wordsOf(whole.error) : null,
    retry: () => void whole.refetch(),
    step: (name, body) => sent.mutate({ name, body }),
    isResultKnown,
    tellResult: (body) => sent.mutate({ name: 'test-result', body }),
    trick: (trick) => machine.mutate({ trick }),
    choose: (choice) => machine.mutate({ choice }),
    ...booking,
    pending: sent.isPending || machine.isPending || booking.pending,
  };
}

type CutAnswer = { readonly partIds: readonly number[]; readonly offcuts: readonly string[] };
/** Codes are written down before they are gone. */
const CODES_SHOWN_MS = 20_000;

function useBooking(load: LoadView | undefined, onChanged: () => void) {
  const [leftovers, setLeftovers] = useState<ReadonlyMap<number, LeftoverWish>>(new Map());
  const unread = useUnreadReason();
  const booked = useMutation({
    mutationFn: (unreadReason: string) =>
      callApi<CutAnswer>('POST', `/api/cut-sheets/saved/${load!.savedId}/cut`, {
        version: load!.savedVersion,
        leftovers: [...leftovers].map(([sheet, kind]) => ({ sheet, kind })),
        unreadReason,
      }),
    onSuccess: ({ partIds, offcuts }) => {
      enqueueSnackbar(describeCutLoad(partIds.length, offcuts), {
        ...(offcuts.length > 0 ? { autoHideDuration: CODES_SHOWN_MS } : {}),
      });
      onChanged();
    },
    onError: (error) => {
      if (!unread.catchUnread(error, (reason) => booked.mutate(reason)))
        enqueueSnackbar(wordsOf(error), { variant: 'error' });
    },
  });
  return {
    leftovers,
    keepLeftover: (sheet: number, kind: LeftoverWish) => setLeftovers(new Map([...leftovers, [sheet, kind]])),
    book: (unreadReason = '') => load && booked.mutate(unreadReason),
    pending: booked.isPending,
    dialog: unread.dialog,
  };
}
