// The bench: four stations, one batch at a time, large, with its timer; what is spoiled goes back to be cut.

import { useMemo, useState } from 'react';
import { STATIONS, type Station } from '../../core/orders';
import { gatherBatches, type Batch } from '../../core/scheduling';
import type { BenchPartView, BenchView } from '../../views/bench';
import type { FrameView, PersonView, RunningSession } from '../../views/frame';
import { plural } from '../../wording/plural';
import { STATION_NAMES } from '../../wording/stations';
import { Icon } from '../shared/Icon';
import { useKeys } from '../shared/keys';
import { BatchDetail } from './BatchDetail';
import { BatchWork } from './BatchWork';
import { NothingHere, Queue } from './Queue';
import { useBatchSteps, useBench, useLineInHand } from './use-bench';
import { useStopping } from './use-stopping';
import { useWho, WhoChoice } from './WhoChoice';
import { late } from '../shared/late';
import type { StopWork } from './RunningBatch';

const SpoilDialog = late(() => import('./SpoilDialog'));

type Batches = readonly Batch<BenchPartView>[];
/** Cut and Weed work on parts, Press and Check on whole pieces. */
const worksOnParts = (station: Station) => station === 'cut' || station === 'weed';

export default function BenchContent({
  view,
  station,
  people,
}: {
  view: BenchView;
  station: Station;
  readonly people: FrameView['people'];
}) {
  return <Bench initial={view} station={station} people={people} />;
}

type BenchProps = {
  readonly initial: BenchView;
  readonly station: Station;
  readonly people: readonly PersonView[];
};

function Bench({ initial, station, people }: BenchProps) {
  const bench = useBench(initial, station);
  const { view } = bench;
  const steps = useBatchSteps(station, bench);
  const who = useWho(people);
  const [chosenKey, setChosenKey] = useState<string | null>(null);
  const [leftOut, setLeftOut] = useState<ReadonlySet<number>>(new Set());
  const [spoiling, setSpoiling] = useState<readonly BenchPartView[] | null>(null);
  const batches = useMemo(() => gatherBatches(station, view.parts), [station, view.parts]);
  const running = view.running.find((work) => work.station === station) ?? null;
  const batch = findBatch(batches, chosenKey, running);
  const shown = running ? view.parts.filter((part) => running.partIds.includes(part.partId)) : (batch?.parts ?? []);
  const detailed = useLineInHand(view, shown[0]?.lineId);
  const chosen = shown.filter((part) => !leftOut.has(worksOnParts(station) ? part.partId : part.pieceId));
  const start = () => steps.start(chosen, who.personId);
  const pace = view.paces.find(({ personId }) => personId === who.personId)?.now ?? 1;
  const stopping = useStopping(steps.stop, view.readAtMs, () => setLeftOut(new Set()));
  const { stop } = stopping;
  const spoil = () => shown.length > 0 && setSpoiling(shown);
  useBenchKeys({ running, start, stop, spoil });
  const choose = (key: string) => {
    setChosenKey(key);
    setLeftOut(new Set());
  };
  return (
    <>
      <h1 className="visually-hidden">Bench: {STATION_NAMES[station]}</h1>
      <Stations waiting={view.waiting} station={station} />
      {!running && <WhoChoice people={people} personId={who.personId} onChoose={who.choose} />}
      {shown.length === 0 ? (
        <NothingHere station={station} waiting={view.waiting} />
      ) : (
        <div className={running ? 'bench in-work' : 'bench'}>
          <Queue
            batches={batches}
            later={view.later}
            chosen={batch?.key ?? null}
            locked={running !== null}
            onChoose={choose}
          />
          <BatchWork
            station={station}
            view={detailed}
            parts={shown}
            leftOut={leftOut}
            running={running}
            pending={steps.pending}
            pace={pace}
            onLeaveOut={setLeftOut}
            onStart={start}
            onProgress={(move) => running && steps.goOn(running, move)}
            onStop={stop}
            onSpoil={spoil}
            onLoadDone={bench.lookAgain}
          />
          <BatchDetail station={station} view={detailed} parts={shown} />
        </div>
      )}
      {bench.unreadDialog}
      {stopping.dialog}
      {spoiling && (
        <SpoilDialog
          station={station}
          parts={spoiling}
          onClose={() => setSpoiling(null)}
          onSpoil={(parts, spoilage) => {
            setSpoiling(null);
            steps.spoil(parts, spoilage);
          }}
        />
      )}
    </>
  );
}

/** The one that was chosen, else the one in work, else the first. */
function findBatch(batches: Batches, chosenKey: string | null, running: RunningSession | null) {
  const isRunning = (batch: Batches[number]) => batch.parts.some((part) => running?.partIds.includes(part.partId));
  return batches.find((batch) => batch.key === chosenKey) ?? batches.find(isRunning) ?? batches[0];
}

type BenchKeys = {
  readonly running: RunningSession | null;
  readonly start: () => void;
  readonly stop: StopWork;
  readonly spoil: () => void;
};

function useBenchKeys({ running, start, stop, spoil }: BenchKeys) {
  useKeys('Bench', [
    // While a batch is in work, Space is its next step.
    ...(running ? [] : [{ keys: 'Space', shown: 'Space', does: 'start', run: start }]),
    { keys: 'p', shown: 'P', does: 'stop, not done yet', run: () => running && stop(running, 'paused') },
    { keys: 's', shown: 'S', does: 'something is spoiled', run: spoil },
    ...STATIONS.map((name, index) => ({
      keys: `Digit${index + 1}`,
      shown: String(index + 1),
      does: `to ${STATION_NAMES[name]}`,
      run: () => location.assign(`/bench/${name}`),
    })),
  ]);
}

type StationsProps = { readonly waiting: BenchView['waiting']; readonly station: Station };

function Stations({ waiting, station }: StationsProps) {
  return (
    <nav className="bench-tabs" aria-label="Stations">
      {STATIONS.map((name) => (
        <a
          key={name}
          href={`/bench/${name}`}
          className={`station-tab ${name}`}
          aria-current={name === station ? 'page' : undefined}
          style={{ ['--tint' as string]: `var(--tint-${name})` }}
        >
          <Icon name={name} /> {STATION_NAMES[name]}{' '}
          <small>{plural(waiting[name], worksOnParts(name) ? 'part' : 'piece')}</small>
        </a>
      ))}
    </nav>
  );
}
