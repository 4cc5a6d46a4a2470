// Books, the hours: what was worked in each month at which station, and what was spoiled for which reason.

import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { STATIONS, type CauseLoss, type Station } from '../../core/orders';
import { formatDuration, formatMoney, formatMonth, toPercent } from '../../core/units';
import { STAGE_COLOURS } from '../../theme/tokens';
import { HOURS_SPANS, type HoursSpan, type HoursView } from '../../views/hours';
import { STATION_NAMES } from '../../wording/stations';
import { useListView } from '../shared/use-list-view';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import { BooksTabs } from './BooksTabs';

const SPAN_NAMES: Readonly<Record<HoursSpan, string>> = {
  1: 'this month',
  3: 'three months',
  12: 'twelve months',
};

export default function HoursContent({ view: initial }: { view: HoursView }) {
  const view = useListView('/api/hours', initial);
  return (
    <>
      <BooksTabs current="/books/hours" />
      <HoursHead view={view} />
      <section className="sheet flush" aria-label="Hours at the bench" tabIndex={0}>
        {view.whole.all.value > 0 && <StationStrip whole={view.whole} />}
        <HoursTable view={view} />
      </section>
      <section className="sheet flush above-4" aria-label="Spoilage by cause" tabIndex={0}>
        <SpoilageTable view={view} />
      </section>
      <p className="soft flat above-4">
        Hours run from start to stop at the bench. What was spoiled counts its vinyl and its blanks: the time that it
        took to make it again is in the hours.
      </p>
    </>
  );
}

function HoursHead({ view: { whole, spoilage, span } }: { readonly view: HoursView }) {
  const settings = useSettings();
  const hours =
    whole.all.value === 0 ? 'No hours at the bench' : `${formatDuration(whole.all.value, settings)} at the bench`;
  const { lost } = spoilage.whole;
  const spoiled =
    lost.value === 0 ? 'nothing lost to spoilage' : `${formatMoney(lost.value, settings)} lost to spoilage`;
  return (
    <div className="page-head">
      <div>
        <h1 className="flat">
          {hours}, {spoiled}
        </h1>
      </div>
      <div className="actions">
        <TextField
          select
          size="small"
          label="Period"
          value={span}
          onChange={(event) => location.assign(`?months=${event.target.value}`)}
        >
          {HOURS_SPANS.map((months) => (
            <MenuItem key={months} value={months}>
              {SPAN_NAMES[months]}
            </MenuItem>
          ))}
        </TextField>
      </div>
    </div>
  );
}

/** A segment narrower than this has no room for words, per cent. */
const LEAST_NAMED = 12;

function StationStrip({ whole: { stations, all } }: Pick<HoursView, 'whole'>) {
  const settings = useSettings();
  const worked = STATIONS.filter((station) => stations[station].value > 0);
  return (
    <div className="strip" role="group" aria-label="Where the hours went">
      {worked.map((station) => {
        const share = toPercent(stations[station].value / all.value);
        return (
          <Why
            key={station}
            figure={stations[station]}
            className="segment"
            style={{ flex: `${share} 0 0`, background: STAGE_COLOURS[station] }}
          >
            {share > LEAST_NAMED ? (
              <>
                <b>{STATION_NAMES[station]}</b>
                <span className="figures">{formatDuration(stations[station].value, settings)}</span>
              </>
            ) : (
              ' '
            )}
          </Why>
        );
      })}
    </div>
  );
}

function HoursTable({ view: { months, whole, span } }: { readonly view: HoursView }) {
  const settings = useSettings();
  return (
    <table className="plain">
      <thead>
        <tr>
          <th scope="col">month</th>
          {STATIONS.map((station) => (
            <th key={station} scope="col" className="right">
              {STATION_NAMES[station].toLowerCase()}
            </th>
          ))}
          <th scope="col" className="right">
            together
          </th>
          <th scope="col" className="right">
            pieces checked
          </th>
          <th scope="col" className="right">
            a piece took
          </th>
        </tr>
      </thead>
      <tbody>
        {months.map((hours) => (
          <HoursRow
            key={hours.month}
            name={formatMonth(hours.month, settings)}
            hours={hours}
            from={`/api/hours/working?months=${span}&of=${hours.month}`}
          />
        ))}
        {months.length > 1 && (
          <HoursRow isWhole name="total" hours={whole} from={`/api/hours/working?months=${span}&of=whole`} />
        )}
        {months.length === 0 && (
          <tr>
            <td colSpan={STATIONS.length + 4} className="soft">
              Nothing was worked on in this time. <a href="/bench">Start at the bench</a>: each start and stop is
              counted here.
            </td>
          </tr>
        )}
      </tbody>
    </table>
  );
}

type HoursRowProps = {
  readonly name: string;
  /** The sum of the others. */
  readonly isWhole?: boolean;
  readonly hours: HoursView['whole'];
  /** Where its workings are told. */
  readonly from: string;
};

function HoursRow({ name, isWhole, hours: { stations, all, pieces, each }, from }: HoursRowProps) {
  const told = (station: Station) => (stations[station].value > 0 ? <Why figure={stations[station]} /> : '–');
  return (
    <tr className={isWhole ? 'total' : undefined}>
      <td>{name}</td>
      {STATIONS.map((station) => (
        <td key={station} className="num">
          {told(station)}
        </td>
      ))}
      <td className="num">
        <Why figure={all} from={from} />
      </td>
      <td className="num">{pieces}</td>
      <td className="num">{each ? <Why figure={each} from={`${from}&each=1`} /> : '–'}</td>
    </tr>
  );
}

function SpoilageTable({ view: { spoilage, span } }: { readonly view: HoursView }) {
  const { causes, whole } = spoilage;
  const from = (of: string) => `/api/hours/working?months=${span}&of=${of}`;
  return (
    <table className="plain">
      <thead>
        <tr>
          <th scope="col">what went wrong</th>
          <th scope="col" className="right">
            parts
          </th>
          <th scope="col" className="right">
            blanks lost
          </th>
          <th scope="col" className="right">
            cost
          </th>
        </tr>
      </thead>
      <tbody>
        {causes.map((loss) => (
          <SpoilageRow key={loss.cause} name={loss.lost.label} loss={loss} from={from(loss.cause)} />
        ))}
        {causes.length > 1 && <SpoilageRow isWhole name="total" loss={whole} from={from('lost')} />}
        {causes.length === 0 && (
          <tr>
            <td colSpan={4} className="soft">
              Nothing was spoiled in this time.
            </td>
          </tr>
        )}
      </tbody>
    </table>
  );
}

type SpoilageRowProps = {
  readonly name: string;
  readonly isWhole?: boolean;
  readonly loss: Omit<CauseLoss, 'cause'>;
  readonly from: string;
};

const SpoilageRow = ({ name, isWhole, loss: { times, blanks, lost }, from }: SpoilageRowProps) => (
  <tr className={isWhole ? 'total' : undefined}>
    <td>{name}</td>
    <td className="num">{times}</td>
    <td className="num">{blanks || '–'}</td>
    <td className="num">
      <Why figure={lost} from={from} />
    </td>
  </tr>
);
