// The bench: four stations, one batch at a time, large, with its timer; what is spoiled goes back to be cut.

import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import Button from '@mui/material/Button';
import { enqueueSnackbar } from 'notistack';
import { lazy, Suspense, useMemo, useState } from 'react';
import { STATIONS, type Station } from '../../core/orders';
import { gatherBatches } from '../../core/scheduling';
import type { BenchPartView, BenchView, Spoilage, StepTaken } from '../../views/bench';
import type { FrameView, RunningSession } from '../../views/frame';
import { describeBooked } from '../../wording/stock';
import { STATION_NAMES } from '../../wording/stations';
import { callApi, wordsOf } from '../shared/api';
import { Frame, RUNNING_KEY } from '../shared/Frame';
import { useKeys } from '../shared/keys';
import { useSettings } from '../shared/settings';
import { BatchDetail } from './BatchDetail';
import { BatchWork } from './BatchWork';
import { plural, verbFor } from '../../wording/plural';
import { Icon } from '../shared/Icon';
import type { Batch } from '../../core/scheduling';
import type { UseMutationResult } from '@tanstack/react-query';
import { Queue, NothingHere } from './Queue';

const SpoilDialog = lazy(() => import('./SpoilDialog'));
const BENCH_KEY = ['bench'] as const;

export function BenchScreen({ frame, view, station }: { frame: FrameView; view: BenchView; station: Station }) {
  return (
    <Frame frame={frame} current="bench">
      <Bench initial={view} station={station} />
    </Frame>
  );
}

function Bench({ initial, station }: { initial: BenchView; station: Station }) {
  const settings = useSettings();
  const client = useQueryClient();
  const { data: view } = useQuery({
    queryKey: BENCH_KEY,
    queryFn: ({ signal }) => callApi<BenchView>('GET', '/api/bench', undefined, signal),
    initialData: initial,
    refetchInterval: 30_000,
  });
  const [chosenKey, setChosenKey] = useState<string | null>(null);
  const [leftOut, setLeftOut] = useState<ReadonlySet<number>>(new Set());
  const [spoiling, setSpoiling] = useState<readonly BenchPartView[] | null>(null);
  const running = view.running.find((work) => work.station === station);
  const counts = useMemo(() => new Map(STATIONS.map((name) => [name, gatherBatches(name, view.parts)])), [view.parts]);
  const batches = counts.get(station) ?? [];
  const runningParts = running ? view.parts.filter((part) => running.partIds.includes(part.partId)) : [];
  const batch =
    batches.find((candidate) => candidate.key === chosenKey) ??
    (running
      ? batches.find((candidate) => candidate.parts.some((part) => running.partIds.includes(part.partId)))
      : undefined) ??
    batches[0];
  const shownParts = running ? runningParts : (batch?.parts ?? []);
  const chosen = shownParts.filter(
    (part) => !leftOut.has(station === 'press' || station === 'check' ? part.pieceId : part.partId),
  );

  const apply = (step: StepTaken) => {
    client.setQueryData(BENCH_KEY, step.bench);
    client.setQueryData(RUNNING_KEY, { running: step.bench.running, nowMs: step.bench.nowMs });
  };
  const step = useMutation({
    mutationFn: ({ path, body }: { path: string; body: unknown; told?: string; undo?: readonly number[] }) =>
      callApi<StepTaken>('POST', path, body),
    onSuccess: (answer, { told, undo }) => {
      apply(answer);
      if (!told) return;
      const booked = (answer.booked ?? []).map((stock) => describeBooked(stock, settings)).join(' ');
      const take =
        undo && answer.eventIds.length > 0 ? (
          <Button
            color="inherit"
            variant="text"
            onClick={() =>
              step.mutate({
                path: '/api/parts/undo',
                body: { eventIds: answer.eventIds, partIds: undo },
                told: 'Taken back.',
              })
            }
          >
            Undo
          </Button>
        ) : undefined;
      enqueueSnackbar(booked ? `${told} ${booked}` : told, {
        action: take,
        ...(booked ? { autoHideDuration: 9000 } : {}),
      });
    },
    onError: (error) => {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
      void client.invalidateQueries({ queryKey: BENCH_KEY });
    },
  });
  const start = () =>
    chosen.length > 0 &&
    step.mutate({ path: '/api/work-sessions', body: { station, partIds: chosen.map((part) => part.partId) } });
  const stop = (work: RunningSession, outcome: 'done' | 'paused' | 'discarded') => {
    const told = {
      done: `${STATION_NAMES[station]}: ${plural(work.partIds.length, 'part')} done.`,
      paused: 'Stopped. The minutes are kept, the parts stay here.',
      discarded: 'Stopped. The minutes are dropped.',
    }[outcome];
    step.mutate({ path: `/api/work-sessions/${work.id}`, body: { outcome }, told, undo: work.partIds });
    if (outcome === 'done') setLeftOut(new Set());
  };
  const spoil = (parts: readonly BenchPartView[], spoilage: Spoilage) => {
    setSpoiling(null);
    const told = `${plural(parts.length, 'part')} ${verbFor(parts.length, 'goes', 'go')} back to be cut.`;
    step.mutate({
      path: '/api/parts/spoil',
      body: { partIds: parts.map((part) => part.partId), ...spoilage },
      told,
      undo: view.parts.filter((part) => parts.some((lost) => lost.pieceId === part.pieceId)).map((part) => part.partId),
    });
  };
  useKeys('Bench', [
    {
      keys: 'Space',
      shown: 'Space',
      does: running ? 'done' : 'start',
      run: () => (running ? stop(running, 'done') : start()),
    },
    { keys: 'p', shown: 'P', does: 'stop, not done yet', run: () => running && stop(running, 'paused') },
    {
      keys: 's',
      shown: 'S',
      does: 'something is spoiled',
      run: () => shownParts.length > 0 && setSpoiling(shownParts),
    },
    ...STATIONS.map((name, index) => ({
      keys: `Digit${index + 1}`,
      shown: String(index + 1),
      does: `to ${STATION_NAMES[name]}`,
      run: () => location.assign(`/bench/${name}`),
    })),
  ]);
  return (
    <>
      <h1 className="visually-hidden">Bench: {STATION_NAMES[station]}</h1>
      <Stations counts={counts} station={station} />
      {shownParts.length === 0 ? (
        <NothingHere station={station} counts={counts} />
      ) : (
        <BenchPanels
          batches={batches}
          batch={batch}
          running={running}
          setChosenKey={setChosenKey}
          setLeftOut={setLeftOut}
          station={station}
          view={view}
          shownParts={shownParts}
          leftOut={leftOut}
          step={step}
          start={start}
          stop={stop}
          setSpoiling={setSpoiling}
        />
      )}
      <Suspense>
        {spoiling && (
          <SpoilDialog station={station} parts={spoiling} onClose={() => setSpoiling(null)} onSpoil={spoil} />
        )}
      </Suspense>
    </>
  );
}

type StationsProps = {
  readonly counts: Map<Station, readonly Batch<BenchPartView>[]>;
  readonly station: Station;
};

function Stations({ counts, station }: StationsProps) {
  return (
    <nav className="bench-tabs" aria-label="Stations">
      {STATIONS.map((name) => {
        const waiting = counts
          .get(name)!
          .reduce((sum, entry) => sum + (name === 'cut' || name === 'weed' ? entry.parts.length : entry.pieceCount), 0);
        return (
          <a
            key={name}
            href={`/bench/${name}`}
            className={`station-tab ${name}`}
            aria-current={name === station ? 'page' : undefined}
            style={{ ['--tint' as string]: `var(--tint-${name})` }}
          >
            <Icon name={name} /> {STATION_NAMES[name]}{' '}
            <small>
              {waiting}{' '}
              {name === 'cut' || name === 'weed'
                ? waiting === 1
                  ? 'part'
                  : 'parts'
                : waiting === 1
                  ? 'piece'
                  : 'pieces'}
            </small>
          </a>
        );
      })}
    </nav>
  );
}

type BenchPanelsProps = {
  readonly batches: readonly Batch<BenchPartView>[];
  readonly batch: Batch<BenchPartView> | undefined;
  readonly running: RunningSession | undefined;
  readonly setChosenKey: React.Dispatch<React.SetStateAction<string | null>>;
  readonly setLeftOut: React.Dispatch<React.SetStateAction<ReadonlySet<number>>>;
  readonly station: Station;
  readonly view: BenchView;
  readonly shownParts: readonly BenchPartView[];
  readonly leftOut: ReadonlySet<number>;
  readonly step: UseMutationResult<
    StepTaken,
    Error,
    { path: string; body: unknown; told?: string; undo?: readonly number[] },
    unknown
  >;
  readonly start: () => false | void;
  readonly stop: (work: RunningSession, outcome: 'done' | 'paused' | 'discarded') => void;
  readonly setSpoiling: React.Dispatch<React.SetStateAction<readonly BenchPartView[] | null>>;
};

function BenchPanels({
  batches,
  batch,
  running,
  setChosenKey,
  setLeftOut,
  station,
  view,
  shownParts,
  leftOut,
  step,
  start,
  stop,
  setSpoiling,
}: BenchPanelsProps) {
  return (
    <div className="bench">
      <Queue
        batches={batches}
        chosen={batch?.key ?? null}
        locked={Boolean(running)}
        onChoose={(key) => {
          setChosenKey(key);
          setLeftOut(new Set());
        }}
      />
      <BatchWork
        station={station}
        view={view}
        parts={shownParts}
        leftOut={leftOut}
        running={running ?? null}
        pending={step.isPending}
        onLeaveOut={setLeftOut}
        onStart={start}
        onStop={stop}
        onSpoil={() => setSpoiling(shownParts)}
      />
      <BatchDetail station={station} view={view} parts={shownParts} />
    </div>
  );
}
