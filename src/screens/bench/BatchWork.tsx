// The middle of the bench: what to do now, its clock, and which parts are in it.

import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useEffect, useRef } from 'react';
import type { Station } from '../../core/orders';
import { compareRuns, orderPressRun, tellPace } from '../../core/pressing';
import { formatDuration, groupBy } from '../../core/units';
import type { BenchPartView, BenchView } from '../../views/bench';
import type { RunningSession } from '../../views/frame';
import { STATION_NAMES } from '../../wording/stations';
import { useServerNow } from '../shared/Frame';
import { useSettings } from '../shared/settings';
import type { ProgressStep } from '../../core/scheduling';
import { BigFacts } from './BigFacts';
import { RunningLoad } from './load/RunningLoad';
import { RunningBatch, type StopWork } from './RunningBatch';
import { plural, verbFor } from '../../wording/plural';
import { Why } from '../shared/Why';

type Props = {
  readonly station: Station;
  readonly view: BenchView;
  readonly parts: readonly BenchPartView[];
  readonly leftOut: ReadonlySet<number>;
  readonly running: RunningSession | null;
  readonly pending: boolean;
  /** What whose work it is takes against what is calculated: 1 is as long as anybody. */
  readonly pace: number;
  readonly onLeaveOut: (leftOut: ReadonlySet<number>) => void;
  readonly onStart: () => void;
  readonly onProgress: (step: ProgressStep) => void;
  readonly onStop: StopWork;
  readonly onSpoil: () => void;
  /** A load at the cutter is booked, or given up. */
  readonly onLoadDone: () => void;
};

export function BatchWork({
  station,
  view,
  parts,
  leftOut,
  running,
  pending,
  pace,
  onLeaveOut,
  onStart,
  onProgress,
  onStop,
  onSpoil,
  onLoadDone,
}: Props) {
  const card = useFocusKept(running?.id ?? null);
  const now = useServerNow(view.readAtMs);
  const byPiece = station === 'press' || station === 'check';
  const keyOf = (part: BenchPartView) => (byPiece ? part.pieceId : part.partId);
  const entries = [...groupBy(parts, keyOf)].map(([key, members]) => ({
    key,
    part: members[0]!,
    broken: members.some((member) => member.broken),
  }));
  const chosen = parts.filter((part) => !leftOut.has(keyOf(part)));
  const seconds = pace * chosen.reduce((sum, part) => sum + part.estimates[station], 0);
  const first = parts[0]!;
  const verbs = {
    cut: `Cut ${first.vinylName}`,
    weed: `Weed ${first.layerName}`,
    press: `Press ${first.itemName}`,
    check: `Check ${first.itemName}`,
  };
  return (
    <section ref={card} tabIndex={-1} className={`sheet lifted station ${station}`} aria-label="Now">
      <h2 className={running ? 'visually-hidden' : 'flat below-2 text-huge'}>{verbs[station]}</h2>
      {running ? (
        <InWork
          station={station}
          view={view}
          parts={parts}
          running={running}
          nowMs={now}
          pending={pending}
          onProgress={onProgress}
          onStop={onStop}
          onSpoil={onSpoil}
          onLoadDone={onLoadDone}
        />
      ) : (
        <BigFacts station={station} view={view} parts={parts} />
      )}
      {!running && station === 'press' && <RunFacts view={view} parts={chosen} />}
      {!running && (
        <Begin
          seconds={seconds}
          told={`${plural(new Set(chosen.map(keyOf)).size, byPiece ? 'piece' : 'part')}${
            chosen.length < parts.length ? `, ${entries.length - new Set(chosen.map(keyOf)).size} left for later` : ''
          }`}
          disabled={pending || chosen.length === 0}
          onStart={onStart}
          onSpoil={station === 'cut' ? null : onSpoil}
        />
      )}
      <BatchPieces
        station={station}
        entries={entries}
        leftOut={leftOut}
        disabled={running !== null || (station === 'cut' && Boolean(parts[0]?.savedId))}
        onLeaveOut={onLeaveOut}
      />
    </section>
  );
}

type InWorkProps = Omit<Props, 'running' | 'pace' | 'leftOut' | 'onLeaveOut' | 'onStart'> & {
  readonly running: RunningSession;
  readonly nowMs: number;
};

/** A saved load goes through the machine sheet by sheet, all else piece by piece. */
function InWork({ onLoadDone, onSpoil, station, ...work }: InWorkProps) {
  return work.running.load ? (
    <RunningLoad {...work} onLoadDone={onLoadDone} />
  ) : (
    <RunningBatch {...work} station={station} onSpoil={onSpoil} />
  );
}

/** The button that was pressed is another one now: the focus stays on its card, and is not lost to the page. */
function useFocusKept(runningId: number | null) {
  const card = useRef<HTMLElement>(null);
  const before = useRef(runningId);
  useEffect(() => {
    if (before.current === runningId) return;
    before.current = runningId;
    if (document.activeElement === document.body) card.current?.focus();
  }, [runningId]);
  return card;
}

/** What it brings to lay the next piece on while one cools, and to peel hotter while much waits. */
function RunFacts({ view, parts }: Pick<Props, 'view' | 'parts'>) {
  const settings = useSettings();
  const line = view.lines.find(({ lineId }) => lineId === parts[0]?.lineId);
  const pieces = new Set(parts.map(({ pieceId }) => pieceId)).size;
  const run = line?.plan && orderPressRun(line.plan.steps, pieces);
  const shorter = line?.plan && line.hotterPlan && compareRuns(line.plan, line.hotterPlan, pieces);
  const behind = view.waiting.press - pieces;
  return (
    <>
      {run && run.restingPlaces > 0 && (
        <p className="soft flat above-3">
          Laid on while one cools: {formatDuration(run.seconds, settings)} at the press, about{' '}
          <Why figure={tellPace(run, pieces)}>{Math.round(run.perHour)} pieces an hour</Why>. Keep room for{' '}
          {plural(run.restingPlaces, 'piece')} to cool.
        </p>
      )}
      {shorter && behind > 0 && (
        <p className="flat above-2">
          {plural(behind, 'piece')} {verbFor(behind, 'waits', 'wait')} behind these. Its vinyls may be peeled hotter
          than its recipe says: this run would be <Why figure={shorter} /> shorter.
        </p>
      )}
    </>
  );
}

type BeginProps = {
  readonly seconds: number;
  /** What is chosen of the batch, in words. */
  readonly told: string;
  readonly disabled: boolean;
  readonly onStart: () => void;
  /** Null where nothing can be spoiled yet. */
  readonly onSpoil: (() => void) | null;
};

function Begin({ seconds, told, disabled, onStart, onSpoil }: BeginProps) {
  const settings = useSettings();
  return (
    <>
      <p className="soft flat above-3 text-large">
        about <strong className="figures">{formatDuration(seconds, settings)}</strong> for {told}
      </p>
      <div className="bench-actions">
        <Button variant="contained" disabled={disabled} onClick={onStart}>
          Start&ensp;<small className="hide-small">space</small>
        </Button>
        {onSpoil && (
          <Button color="error" onClick={onSpoil}>
            Spoiled
          </Button>
        )}
      </div>
    </>
  );
}

/** A part where parts are worked on, a piece where pieces are. */
type Entry = { readonly key: number; readonly part: BenchPartView; readonly broken: boolean };

type PiecesProps = Pick<Props, 'station' | 'leftOut' | 'onLeaveOut'> & {
  readonly entries: readonly Entry[];
  readonly disabled: boolean;
};

/** What is in the batch, to leave some of it for later. */
function BatchPieces({ station, entries, leftOut, disabled, onLeaveOut }: PiecesProps) {
  const toggle = (key: number) => {
    const next = new Set(leftOut);
    if (!next.delete(key)) next.add(key);
    onLeaveOut(next);
  };
  const onlyFirst = () => onLeaveOut(new Set(entries.slice(1).map((entry) => entry.key)));
  return (
    <fieldset
      disabled={disabled}
      className="bare flat above-5 pad-top-3 pad-right-0 pad-bottom-0 pad-left-0 ruled-above"
    >
      <legend className="visually-hidden">In this batch</legend>
      <div className="actions">
        <span className="soft">{STATION_NAMES[station]} in one go:</span>
        <Button size="small" variant="text" onClick={() => onLeaveOut(new Set())} disabled={disabled}>
          all
        </Button>
        <Button size="small" variant="text" onClick={onlyFirst} disabled={disabled}>
          only the first
        </Button>
      </div>
      <div className="pieces">
        {entries.map((entry) => (
          <FormControlLabel
            key={entry.key}
            sx={{ mr: 0 }}
            control={<Checkbox size="small" checked={!leftOut.has(entry.key)} onChange={() => toggle(entry.key)} />}
            label={<EntryName part={entry.part} broken={entry.broken} named={station === 'cut'} />}
          />
        ))}
      </div>
    </fieldset>
  );
}

/** `named`: with its item and layer, where the batch holds several. */
function EntryName({ part, broken, named }: Omit<Entry, 'key'> & { readonly named: boolean }) {
  return (
    <span>
      {named ? `${part.itemName} ` : ''}
      {part.pieceNumber} {!named && part.texts.length > 0 && <b className="own-text">{part.texts.join(' ')} </b>}
      <span className="soft">
        {part.sizeName}
        {part.sizeName ? ', ' : ''}
        {part.colourName}
        {named ? `, ${part.layerName}` : ''}
      </span>
      {broken && (
        <strong className="short">
          {' '}
          {part.recut ? `again, ${part.recut.bits.length} of ${part.recut.of} bits` : 'again'}
        </strong>
      )}
    </span>
  );
}
