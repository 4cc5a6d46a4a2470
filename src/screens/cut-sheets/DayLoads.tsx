// The day's loads, proposed: everything of a vinyl together, what is due first in front; laid out one after another and
// saved.

import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import LinearProgress from '@mui/material/LinearProgress';
import { sumLoadSeconds } from '../../core/scheduling';
import { formatDay, formatDuration } from '../../core/units';
import type { CutSheetsView } from '../../views/cut-sheets';
import { describeDayLoad } from '../../wording/nesting';
import { plural } from '../../wording/plural';
import { useSettings } from '../shared/settings';
import type { Group } from './cut-load';
import { groupOf, useDayLoads, type DayLoadWord, type ProposedLoad } from './use-day-loads';
import { Swatch } from '../shared/Swatch';

type Props = {
  readonly view: CutSheetsView;
  readonly onSaved: () => Promise<void>;
  readonly onClose: () => void;
};

export function DayLoads({ view, onSaved, onClose }: Props) {
  const day = useDayLoads(view, onSaved);
  const { loads, at } = day;
  return (
    <section className="sheet cols" aria-label="The day’s loads">
      <DayHead day={day} freeSeconds={view.freeSeconds} onClose={onClose} />
      {at !== null && (
        <LinearProgress
          aria-label="Loads laid out"
          variant="determinate"
          value={(100 * at) / Math.max(1, loads.length)}
        />
      )}
      <ol className="day-loads flat indented">
        {loads.map((load, index) => (
          <DayLoadLine
            key={load.vinylId}
            load={load}
            group={groupOf(view, load.vinylId)}
            checked={day.chosen.has(load.vinylId)}
            onCheck={(on) => day.choose(load.vinylId, on)}
            disabled={at !== null}
            running={at === index}
            word={day.said.get(load.vinylId)}
          />
        ))}
      </ol>
      {loads.length === 0 && <p className="soft flat">Everything that waits lies on saved cut sheets already.</p>}
    </section>
  );
}

type HeadProps = {
  readonly day: ReturnType<typeof useDayLoads>;
  /** Working time that is left of today. */
  readonly freeSeconds: number;
  readonly onClose: () => void;
};

function DayHead({ day, freeSeconds, onClose }: HeadProps) {
  const settings = useSettings();
  const { loads, chosen } = day;
  const left =
    freeSeconds < 60
      ? 'No working hours are left today.'
      : `${formatDuration(freeSeconds, settings)} are left of today.`;
  return (
    <div className="page-head">
      <div>
        <h2 className="flat">
          {plural(chosen.size, 'load')}, {formatDuration(sumLoadSeconds(loads, chosen), settings)} at the cutter
        </h2>
        <p className="soft flat above-1">
          All that waits of a vinyl goes together, whoever ordered it; what is due first comes first. {left} For each
          the piece of stock is taken that wastes least.
        </p>
      </div>
      <div className="actions">
        {day.at !== null ? (
          <Button onClick={day.stop}>Stop after this</Button>
        ) : (
          <>
            <Button onClick={onClose}>Close</Button>
            <Button variant="contained" disabled={day.isDone} onClick={() => void day.layOutAll()}>
              Lay them out
            </Button>
          </>
        )}
      </div>
    </div>
  );
}

type LineProps = {
  readonly load: ProposedLoad;
  readonly group: Group;
  readonly checked: boolean;
  readonly onCheck: (on: boolean) => void;
  readonly disabled: boolean;
  readonly running: boolean;
  /** What came of it, once it was laid out. */
  readonly word: DayLoadWord | undefined;
};

function DayLoadLine({ load, group, checked, onCheck, disabled, running, word }: LineProps) {
  const settings = useSettings();
  const hasStock = group.stock.length > 0;
  return (
    <li>
      <label className="row middle gap-2">
        <Checkbox size="small" checked={checked} disabled={disabled || !hasStock} onChange={(_, on) => onCheck(on)} />
        <Swatch colour={group.vinyl.colourHex} />
        <span>
          {group.vinyl.name}{' '}
          <span className="soft">
            due {formatDay(load.dueDay, settings)}, {describeDayLoad(load, hasStock, settings)}
          </span>
          {running && <b> being laid out</b>}
          {word && <span className={word.good ? '' : 'short'}>: {word.words}</span>}
        </span>
      </label>
    </li>
  );
}
