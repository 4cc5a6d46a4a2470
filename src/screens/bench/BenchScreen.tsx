// The bench: four stations, one batch at a time, large, with its timer; what is spoiled goes back to be cut.

import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import Button from '@mui/material/Button';
import { enqueueSnackbar } from 'notistack';
import { lazy, Suspense, useMemo, useState } from 'react';
import { STATIONS, type Station } from '../../core/orders';
import { gatherBatches } from '../../core/scheduling';
import { formatDay, formatDuration } from '../../core/units';
import type { BenchPartView, BenchView, Spoilage, StepTaken } from '../../views/bench';
import type { FrameView, RunningSession } from '../../views/frame';
import { describeBooked } from '../../wording/stock';
import { STATION_NAMES } from '../../wording/stations';
import { callApi, wordsOf } from '../shared/api';
import { describeBatch } from '../../wording/batches';
import { Frame, RUNNING_KEY } from '../shared/Frame';
import { useKeys } from '../shared/keys';
import { useSettings } from '../shared/settings';
import { BatchDetail } from './BatchDetail';
import { BatchWork } from './BatchWork';
import { plural, verbFor } from '../../wording/plural';
import { Icon } from '../shared/Icon';

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
      <nav className="bench-tabs" aria-label="Stations">
        {STATIONS.map((name) => {
          const waiting = counts
            .get(name)!
            .reduce(
              (sum, entry) => sum + (name === 'cut' || name === 'weed' ? entry.parts.length : entry.pieceCount),
              0,
            );
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
      {shownParts.length === 0 ? (
        <NothingHere station={station} counts={counts} />
      ) : (
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
      )}
      <Suspense>
        {spoiling && (
          <SpoilDialog station={station} parts={spoiling} onClose={() => setSpoiling(null)} onSpoil={spoil} />
        )}
      </Suspense>
    </>
  );
}

function Queue({
  batches,
  chosen,
  locked,
  onChoose,
}: {
  batches: ReturnType<typeof gatherBatches<BenchPartView>>;
  chosen: string | null;
  locked: boolean;
  onChoose: (key: string) => void;
}) {
  const settings = useSettings();
  return (
    <ul className="queue" aria-label="Batches">
      {batches.map((batch) => {
        const words = describeBatch(batch);
        return (
          <li key={batch.key}>
            <button
              type="button"
              aria-pressed={batch.key === chosen}
              disabled={locked && batch.key !== chosen}
              onClick={() => onChoose(batch.key)}
            >
              {words.what}
              <small>{words.detail}</small>
              <small>
                due {formatDay(batch.dueDay, settings)}, about {formatDuration(batch.seconds, settings)}
              </small>
            </button>
          </li>
        );
      })}
    </ul>
  );
}

function NothingHere({ station, counts }: { station: Station; counts: ReadonlyMap<Station, readonly unknown[]> }) {
  const other = STATIONS.find((name) => (counts.get(name)?.length ?? 0) > 0);
  const why = {
    cut: 'Everything that is ordered is cut.',
    weed: 'Nothing lies cut and waiting to be weeded.',
    press: 'No piece has all its parts weeded.',
    check: 'No piece is pressed and waiting to be checked.',
  }[station];
  return (
    <div className="sheet empty">
      <p>{why}</p>
      <div className="actions centred">
        {other ? (
          <Button variant="contained" href={`/bench/${other}`}>
            Go to {STATION_NAMES[other]}
          </Button>
        ) : (
          <Button variant="contained" href="/orders">
            See the orders
          </Button>
        )}
      </div>
    </div>
  );
}
