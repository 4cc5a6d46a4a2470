// The bench as it stands on the server, and each step at it: sent, told, taken back where that can be.

import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import Button from '@mui/material/Button';
import { useMemo } from 'react';
import type { Station } from '../../core/orders';
import type { ProgressStep } from '../../core/scheduling';
import type { BenchLineView, BenchPartView, BenchView, Spoilage, StepTaken } from '../../views/bench';
import type { RunningSession } from '../../views/frame';
import { plural, verbFor } from '../../wording/plural';
import { STATION_NAMES } from '../../wording/stations';
import { describeBooked } from '../../wording/stock';
import { callApi, wordsOf } from '../shared/api';
import { showAnswer } from '../shared/show-answer';
import { RUNNING_KEY } from '../shared/Frame';
import { useSettings } from '../shared/settings';
import { useUnreadReason } from '../shared/use-unread-reason';
import { enqueueSnackbar } from '../shared/snackbar';

const BENCH_KEY = ['bench'] as const;
const REFRESH_MS = 30_000;
/** What was booked takes longer to read. */
const BOOKED_SHOWN_MS = 9000;

type Running = { readonly running: readonly RunningSession[]; readonly nowMs: number };
export type Outcome = 'done' | 'paused' | 'discarded';
type Step = {
  readonly path: string;
  readonly body: unknown;
  /** Said when it went well. */
  readonly told?: string;
  /** The parts that Undo takes back. */
  readonly undo?: readonly number[];
};

export function useBench(initial: BenchView, station: Station) {
  const client = useQueryClient();
  const { data: view } = useQuery({
    queryKey: BENCH_KEY,
    queryFn: ({ signal }) => callApi<BenchView>('GET', `/api/bench?station=${station}`, undefined, signal),
    initialData: initial,
    refetchInterval: REFRESH_MS,
  });
  const tell = useTell();
  const unread = useUnreadReason();
  const step = useMutation({
    mutationFn: ({ path, body }: Step) => callApi<StepTaken>('POST', `${path}?station=${station}`, body),
    onSuccess: (answer, taken) => {
      showAnswer(client, BENCH_KEY, answer.bench);
      showAnswer(client, RUNNING_KEY, { running: answer.bench.running, nowMs: answer.bench.readAtMs });
      tell(answer, taken, step.mutate);
    },
    onError: (error, taken) => {
      const cutAllTheSame = (unreadReason: string) =>
        step.mutate({ ...taken, body: { ...(taken.body as object), unreadReason } });
      if (unread.catchUnread(error, cutAllTheSame)) return;
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
      void client.invalidateQueries({ queryKey: BENCH_KEY });
    },
  });
  const progress = useMutation({
    mutationFn: ({ id, ...move }: ProgressStep & { readonly id: number }) =>
      callApi<Running>('POST', `/api/work-sessions/${id}/progress`, move),
    onSuccess: (now) => {
      showAnswer(client, BENCH_KEY, { ...client.getQueryData<BenchView>(BENCH_KEY), ...now });
      showAnswer(client, RUNNING_KEY, now);
    },
    onError: (error) => {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
      void client.invalidateQueries({ queryKey: BENCH_KEY });
    },
  });
  const lookAgain = () => {
    void client.invalidateQueries({ queryKey: BENCH_KEY });
    void client.invalidateQueries({ queryKey: RUNNING_KEY });
  };
  return { view, step, progress, lookAgain, unreadDialog: unread.dialog };
}

/** The bench with the line in hand: of the first batch it came along, of others it is asked for. */
export function useLineInHand(view: BenchView, lineId: number | undefined): BenchView {
  const known = view.lines.some((line) => line.lineId === lineId);
  const { data } = useQuery({
    queryKey: ['bench-line', lineId],
    queryFn: ({ signal }) => callApi<BenchLineView>('GET', `/api/bench-lines/${lineId}`, undefined, signal),
    enabled: lineId !== undefined && !known,
  });
  return useMemo(() => (data && !known ? { ...view, lines: [...view.lines, data] } : view), [view, data, known]);
}

/** Says what a step did and what it booked, with Undo. */
function useTell() {
  const settings = useSettings();
  return (answer: StepTaken, { told, undo }: Step, take: (step: Step) => void) => {
    if (!told) return;
    const booked = (answer.booked ?? []).map((stock) => describeBooked(stock, settings)).join(' ');
    const takeBack = () =>
      take({
        path: '/api/parts/undo',
        body: { eventIds: answer.eventIds, partIds: undo },
        told: 'Taken back.',
      });
    const action =
      undo && answer.eventIds.length > 0 ? (
        <Button color="inherit" variant="text" onClick={takeBack}>
          Undo
        </Button>
      ) : undefined;
    enqueueSnackbar(booked ? `${told} ${booked}` : told, {
      action,
      ...(booked ? { autoHideDuration: BOOKED_SHOWN_MS } : {}),
    });
  };
}

/** Which parts are done, where not all are; and how many seconds count, where not all do. */
type Counted = { readonly partIds?: readonly number[]; readonly countSeconds?: number };

/** What can be done with a batch at a station. */
export function useBatchSteps(station: Station, { view, step, progress }: ReturnType<typeof useBench>) {
  const start = (parts: readonly BenchPartView[], personId: number | null) => {
    if (parts.length === 0) return;
    const savedId = station === 'cut' ? (parts[0]!.savedId ?? null) : null;
    const partIds = parts.map((part) => part.partId);
    step.mutate({ path: '/api/work-sessions', body: { station, partIds, savedId, personId } });
  };
  const stop = (work: RunningSession, outcome: Outcome, counted: Counted = {}) => {
    const told = {
      done: `${STATION_NAMES[station]}: ${plural((counted.partIds ?? work.partIds).length, 'part')} done.`,
      paused: 'Stopped. The minutes are kept, the parts stay here.',
      discarded: 'Stopped. The minutes are dropped.',
    }[outcome];
    step.mutate({ path: `/api/work-sessions/${work.id}`, body: { outcome, ...counted }, told, undo: work.partIds });
  };
  const spoil = (parts: readonly BenchPartView[], spoilage: Spoilage) => {
    const pieceIds = new Set(parts.map((part) => part.pieceId));
    step.mutate({
      path: '/api/parts/spoil',
      body: { partIds: parts.map((part) => part.partId), ...spoilage },
      told: `${plural(parts.length, 'part')} ${verbFor(parts.length, 'goes', 'go')} back to be cut.`,
      undo: view.parts.filter((part) => pieceIds.has(part.pieceId)).map((part) => part.partId),
    });
  };
  const goOn = (work: RunningSession, move: ProgressStep) => progress.mutate({ id: work.id, ...move });
  return { start, stop, spoil, goOn, pending: step.isPending || progress.isPending };
}
