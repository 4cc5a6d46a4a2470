// The middle of the bench: what to do now, its clock, and which parts are in it.

import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import type { Station } from '../../core/orders';
import { formatClock, formatDuration, formatLength, formatTemperature, groupBy } from '../../core/units';
import type { BenchPartView, BenchView } from '../../views/bench';
import type { RunningSession } from '../../views/frame';
import { STATION_NAMES } from '../../wording/stations';
import { useServerNow } from '../shared/Frame';
import { useSettings } from '../shared/settings';
import { plural, verbFor } from '../../wording/plural';
import { Icon } from '../shared/Icon';
import type { Peel } from '../../core/materials';

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
  const toggle = (key: number) => {
    const next = new Set(leftOut);
    if (!next.delete(key)) next.add(key);
    onLeaveOut(next);
  };
  const spoilable = running !== null || station !== 'cut';
  return (
    <section className={`sheet lifted station ${station}`} aria-label="Now">
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
      <div className="bench-actions">
        {running ? (
          <>
            <Button variant="contained" disabled={pending} onClick={() => onStop(running, 'done')}>
              Done&ensp;<small className="hide-small">space</small>
            </Button>
            <Button disabled={pending} onClick={() => onStop(running, 'paused')}>
              Stop, not done
            </Button>
          </>
        ) : (
          <Button variant="contained" disabled={pending || chosen.length === 0} onClick={onStart}>
            Start&ensp;<small className="hide-small">space</small>
          </Button>
        )}
        {spoilable && (
          <Button color="error" disabled={pending} onClick={onSpoil}>
            Spoiled
          </Button>
        )}
        {running && (
          <Button variant="text" disabled={pending} onClick={() => onStop(running, 'discarded')}>
            Drop these minutes
          </Button>
        )}
      </div>
      <fieldset
        disabled={running !== null}
        className="bare flat above-5 pad-top-3 pad-right-0 pad-bottom-0 pad-left-0 ruled-above"
      >
        <legend className="visually-hidden">In this batch</legend>
        <div className="actions">
          <span className="soft">{STATION_NAMES[station]} in one go:</span>
          <Button size="small" variant="text" onClick={() => onLeaveOut(new Set())} disabled={running !== null}>
            all
          </Button>
          <Button
            size="small"
            variant="text"
            onClick={() => onLeaveOut(new Set(entries.slice(1).map((entry) => entry.key)))}
            disabled={running !== null}
          >
            only the first
          </Button>
        </div>
        <div className="pieces">
          {entries.map(({ key, part, broken }) => (
            <FormControlLabel
              key={key}
              sx={{ mr: 0 }}
              control={<Checkbox size="small" checked={!leftOut.has(key)} onChange={() => toggle(key)} />}
              label={
                <span>
                  {station === 'cut' ? `${part.itemName} ` : ''}
                  {part.pieceNumber}{' '}
                  <span className="soft">
                    {part.sizeName}
                    {part.sizeName ? ', ' : ''}
                    {part.colourName}
                    {station === 'cut' ? `, ${part.layerName}` : ''}
                  </span>
                  {broken && <strong className="short"> again</strong>}
                </span>
              }
            />
          ))}
        </div>
      </fieldset>
    </section>
  );
}

function BigFacts({ station, view, parts }: { station: Station; view: BenchView; parts: readonly BenchPartView[] }) {
  const settings = useSettings();
  const first = parts[0]!;
  const line = view.lines.find((candidate) => candidate.lineId === first.lineId);
  if (station === 'cut') {
    const mirrors = new Set(
      parts.map(
        (part) => view.lines.find((candidate) => candidate.lineId === part.lineId)?.layers[part.layerIndex]?.handedness,
      ),
    );
    return (
      <div className="big">
        {[...mirrors].map((words) => (
          <span key={words} className="error-text">
            {words}
          </span>
        ))}
        <span>
          roll {formatLength(view.vinyls.find((vinyl) => vinyl.id === first.vinylId)?.rollWidthMm ?? 0, settings)} wide
        </span>
      </div>
    );
  }
  if (station === 'weed') {
    const layer = line?.layers[first.layerIndex];
    return (
      <div className="big">
        <span>{first.vinylName}</span>
        <span>{plural(layer?.cavities ?? 0, 'cavity')}</span>
        <span>
          {plural(layer?.pieces ?? 0, 'piece')} {verbFor(layer?.pieces ?? 0, 'stays', 'stay')}
        </span>
      </div>
    );
  }
  if (station === 'press') {
    if (!line?.plan) return <p className="short">{line?.planProblem}</p>;
    const last = [...line.plan.steps].reverse().find((step) => step.kind === 'press');
    return last ? (
      <div className="big">
        <span>{formatTemperature(last.temperatureC ?? 0, settings)}</span>
        <span>{last.seconds} s</span>
        <span>{last.pressure}</span>
        <span className="error-text">
          <PeelFact
            peel={line.plan.steps.find((step) => step.kind === 'peel' && step.vinylName === last.vinylName)?.peel}
          />
        </span>
      </div>
    ) : (
      <div className="big">
        <span>no heat: tape, place, burnish</span>
      </div>
    );
  }
  return (
    <div className="big">
      <span>spelling</span>
      <span>position: {first.placement}</span>
      <span>edges</span>
    </div>
  );
}

function PeelFact({ peel }: { readonly peel: Peel | null | undefined }) {
  return peel ? (
    <>
      <Icon name={`peel-${peel}`} /> peel {peel}
    </>
  ) : null;
}
