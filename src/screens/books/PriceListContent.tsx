// Books, the price list: what each item has to cost on each channel for the goal, and which items earn less than your
// hour.

import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { formatMoney, formatShare } from '../../core/units';
import type { PriceGoal, PriceListView, PriceRow } from '../../views/price-list';
import { useListView } from '../shared/use-list-view';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import { BooksTabs } from './BooksTabs';
import { plural, verbFor } from '../../wording/plural';
import type { ChannelView } from '../../views/channels';
import { ListSearch, Pager, SortHead } from '../shared/ListTools';
import type { ShopFigures } from '../../core/materials';

export default function PriceListContent({ view }: { view: PriceListView }) {
  return <PriceList initial={view} />;
}

function PriceList({ initial }: { readonly initial: PriceListView }) {
  const view = useListView('/api/price-list', initial);
  const settings = useSettings();
  const { figures } = settings.shop;
  const { goal, poorOnly, query, at, channels, all } = view;
  const others = { ...(goal === 'wage' ? {} : { goal }), ...(poorOnly ? { poor: '1' } : {}) };
  const goals: Readonly<Record<PriceGoal, string>> = {
    wage: `an hour earns ${formatMoney(figures.wageGoalPerHour, settings)}`,
    margin: `a margin of ${formatShare(figures.marginGoal, settings, 0)}`,
    floor: 'nothing is lost',
  };
  return (
    <>
      <BooksTabs current="/books" />
      <PriceListHead view={view} figures={figures} />
      {all > SHORT_LIST && <ListSearch label="Find an item" query={query} others={others} />}
      <section className="sheet flush" aria-label="Price list" tabIndex={0}>
        <PriceListFilters view={view} goals={goals} />
        <PriceTable view={view} others={others} />
      </section>
      <Pager at={at} query={query} others={others} />
      {channels.length === 0 && all > 0 && (
        <p className="soft flat">
          Say where you sell on the page of an item, under “Add a channel”: a column for each stands here then.
        </p>
      )}
      <p className="soft flat above-4">Quoted against real stands with each order.</p>
    </>
  );
}

/** Lists as short as that are seen at a glance. */
const SHORT_LIST = 12;

type PriceListHeadProps = { readonly view: PriceListView; readonly figures: ShopFigures };

function PriceListHead({ view: { all, poor, goal }, figures }: PriceListHeadProps) {
  const settings = useSettings();
  return (
    <div className="page-head">
      <div>
        <h1 className="flat">
          {all === 0
            ? 'No items to price yet'
            : poor === 0
              ? 'Every item earns your hour'
              : `${poor} of ${plural(all, 'item')} ${verbFor(poor, 'earns', 'earn')} less than your hour of ${formatMoney(figures.wagePerHour, settings)}`}
        </h1>
      </div>
      <div className="actions">
        <Button href={`/api/price-list/csv?goal=${goal}`}>CSV</Button>
        <Button href={`/api/price-list/pdf?goal=${goal}`} target="_blank">
          Print the list
        </Button>
      </div>
    </div>
  );
}

type PriceTableProps = { readonly view: PriceListView; readonly others: Readonly<Record<string, string>> };

function PriceTable({ view: { rows, channels, query, goal, all }, others }: PriceTableProps) {
  return (
    <table className="plain">
      <thead>
        <tr>
          <SortHead sort="name" query={query} others={others}>
            item
          </SortHead>
          <SortHead sort="made" query={query} others={others} right>
            made in
          </SortHead>
          <SortHead sort="cost" query={query} others={others} right>
            costs
          </SortHead>
          <SortHead sort="price" query={query} others={others} right>
            your price
          </SortHead>
          <SortHead sort="hour" query={query} others={others} right>
            an hour earns
          </SortHead>
          {channels.map((channel) => (
            <th key={channel.id} className="right" scope="col">
              {channel.name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <PriceTableRow key={row.id} row={row} channels={channels} goal={goal} />
        ))}
        {rows.length === 0 && (
          <tr>
            <td colSpan={5 + channels.length} className="soft">
              {all === 0 ? (
                <>
                  Price an item first, then its prices stand here. <a href="/items/new">Price one</a>
                </>
              ) : query.words ? (
                'No item is called so.'
              ) : (
                'None: each item earns your hour at its price.'
              )}
            </td>
          </tr>
        )}
      </tbody>
    </table>
  );
}

type PriceListFiltersProps = {
  readonly view: PriceListView;
  readonly goals: Readonly<Record<PriceGoal, string>>;
};

/** What is chosen stands in the address: the page is asked for anew. */
function PriceListFilters({ view: { goal, poorOnly, query }, goals }: PriceListFiltersProps) {
  const go = (wish: { readonly goal: PriceGoal; readonly poorOnly: boolean }) => {
    const params = new URLSearchParams({
      ...(wish.goal === 'wage' ? {} : { goal: wish.goal }),
      ...(wish.poorOnly ? { poor: '1' } : {}),
      ...(query.words ? { q: query.words } : {}),
      ...(query.sort === 'name' ? {} : { sort: query.sort }),
      ...(query.down ? { down: '1' } : {}),
    });
    location.assign(`?${params}`);
  };
  return (
    <div className="fields pad-top-4 pad-right-5 pad-bottom-4 pad-left-5 middle search-row">
      <TextField
        select
        size="small"
        label="Prices at which"
        value={goal}
        onChange={(event) => go({ goal: event.target.value as PriceGoal, poorOnly })}
      >
        {Object.entries(goals).map(([key, label]) => (
          <MenuItem key={key} value={key}>
            {label}
          </MenuItem>
        ))}
      </TextField>
      <FormControlLabel
        control={<Checkbox size="small" checked={poorOnly} onChange={(_, on) => go({ goal, poorOnly: on })} />}
        label="only what earns less than your hour"
      />
    </div>
  );
}

type PriceTableRowProps = {
  readonly row: PriceRow;
  readonly channels: readonly ChannelView[];
  readonly goal: PriceGoal;
};

/** An item, and its price in each channel. */
function PriceTableRow({ row, channels, goal }: PriceTableRowProps) {
  const settings = useSettings();
  const working = (of: string) => `/api/items/${row.id}/working?of=${of}`;
  const isPoor = row.hourEarns !== null && row.hourEarns.value < settings.shop.figures.wagePerHour;
  return (
    <tr>
      <td>
        <a href={`/items/${row.id}`}>
          <strong>{row.name}</strong>
        </a>
        <br />
        <span className="soft">
          {row.blankName}, {row.sizeName}
        </span>
        {row.problem && <div className="short">{row.problem}</div>}
      </td>
      <td className="num">{row.quantity}</td>
      <td className="num">{row.cost ? <Why figure={row.cost} from={working('withRisk')} /> : '–'}</td>
      <td className="num">{formatMoney(row.price, settings)}</td>
      <td className={`num ${isPoor ? 'short' : ''}`}>
        {row.hourEarns ? <Why figure={row.hourEarns} from={working('hourEarns')} /> : '–'}
      </td>
      {row.asks.map((ask, index) => {
        const { id } = channels[index]!;
        return (
          <td key={id} className="num">
            {ask ? <Why figure={ask} from={`${working('ask')}&channel=${id}&goal=${goal}`} /> : '–'}
          </td>
        );
      })}
    </tr>
  );
}
