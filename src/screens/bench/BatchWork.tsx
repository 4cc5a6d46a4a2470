// The middle of the bench: what to do now, its clock, and which parts are in it.

import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useEffect, useRef } from 'react';
import type { Station } from '../../core/orders';
import { formatClock, formatDuration, groupBy } from '../../core/units';
import type { BenchPartView, BenchView } from '../../views/bench';
import type { RunningSession } from '../../views/frame';
import { STATION_NAMES } from '../../wording/stations';
import { useServerNow } from '../shared/Frame';
import { useSettings } from '../shared/settings';
import { BigFacts } from './BigFacts';
import { plural } from '../../wording/plural';

type Props = {
  readonly station: Station;
  readonly view: BenchView;
  readonly parts: readonly BenchPartView[];
  readonly leftOut: ReadonlySet<number>;
  readonly running: RunningSession | null;
  readonly pending: boolean;
  readonly onLeaveOut: (leftOut: ReadonlySet<number>) => void;
  readonly onStart: () => void;
  readonly onStop: (work: RunningSession, outcome: 'done' | 'paused' | 'discarded') => void;
  readonly onSpoil: () => void;
};

export function BatchWork({
  station,
  view,
  parts,
  leftOut,
  running,
  pending,
  onLeaveOut,
  onStart,
  onStop,
  onSpoil,
}: Props) {
  const settings = useSettings();
  const card = useFocusKept(running?.id ?? null);
  const now = useServerNow(view.nowMs);
  const byPiece = station === 'press' || station === 'check';
  const keyOf = (part: BenchPartView) => (byPiece ? part.pieceId : part.partId);
  const entries = [...groupBy(parts, keyOf)].map(([key, members]) => ({
    key,
    part: members[0]!,
    broken: members.some((member) => member.broken),
  }));
  const chosen = parts.filter((part) => !leftOut.has(keyOf(part)));
  const seconds = chosen.reduce((sum, part) => sum + part.estimates[station], 0);
  const first = parts[0]!;
  const verbs = {
    cut: `Cut ${first.vinylName}`,
    weed: `Weed ${first.layerName}`,
    press: `Press ${first.itemName}`,
    check: `Check ${first.itemName}`,
  };
  return (
    <section ref={card} tabIndex={-1} className={`sheet lifted station ${station}`} aria-label="Now">
      <h2 className="flat below-2 text-huge">{verbs[station]}</h2>
      <BigFacts station={station} view={view} parts={parts} />
      <div className="clock" role="timer" aria-label="Time on this batch">
        {running ? formatClock((now - running.startedAtMs) / 1000) : '0:00'}
      </div>
      <p className="soft flat text-large">
        about <strong className="figures">{formatDuration(seconds, settings)}</strong> for{' '}
        {plural(new Set(chosen.map(keyOf)).size, byPiece ? 'piece' : 'part')}
        {chosen.length < parts.length ? `, ${entries.length - new Set(chosen.map(keyOf)).size} left for later` : ''}
      </p>
      <BatchActions
        running={running}
        disabled={pending}
        startable={chosen.length > 0}
        onStart={onStart}
        onStop={onStop}
        onSpoil={running !== null || station !== 'cut' ? onSpoil : null}
      />
      <BatchPieces
        station={station}
        entries={entries}
        leftOut={leftOut}
        disabled={running !== null}
        onLeaveOut={onLeaveOut}
      />
    </section>
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

type ActionsProps = Pick<Props, 'running' | 'onStart' | 'onStop'> & {
  readonly disabled: boolean;
  /** Something of the batch is chosen. */
  readonly startable: boolean;
  /** Null where nothing can be spoiled yet. */
  readonly onSpoil: (() => void) | null;
};

function BatchActions({ running, disabled, startable, onStart, onStop, onSpoil }: ActionsProps) {
  return (
    <div className="bench-actions">
      {running ? (
        <>
          <Button variant="contained" disabled={disabled} onClick={() => onStop(running, 'done')}>
            Done&ensp;<small className="hide-small">space</small>
          </Button>
          <Button disabled={disabled} onClick={() => onStop(running, 'paused')}>
            Stop, not done
          </Button>
        </>
      ) : (
        <Button variant="contained" disabled={disabled || !startable} onClick={onStart}>
          Start&ensp;<small className="hide-small">space</small>
        </Button>
      )}
      {onSpoil && (
        <Button color="error" disabled={disabled} onClick={onSpoil}>
          Spoiled
        </Button>
      )}
      {running && (
        <Button variant="text" disabled={disabled} onClick={() => onStop(running, 'discarded')}>
          Drop these minutes
        </Button>
      )}
    </div>
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
