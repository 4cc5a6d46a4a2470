// Books, the price list: what each item has to cost on each channel for the goal, and which items earn less than your
// hour.

import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { formatMoney, formatShare } from '../../core/units';
import type { FrameView } from '../../views/frame';
import type { PriceGoal, PriceListView } from '../../views/price-list';
import { callApi, wordsOf } from '../shared/api';
import { Frame } from '../shared/Frame';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import { BooksTabs } from './BooksTabs';
import { plural, verbFor } from '../../wording/plural';
import type { ChannelView } from '../../views/channels';
import type { Figure } from '../../core/units';
import type { ItemView } from '../../views/items';
import { Failure } from '../shared/Failure';
import { NumberHead } from '../shared/NumberHead';
import type { ShopFigures } from '../../core/materials';

export function PriceListScreen({ frame, view }: { frame: FrameView; view: PriceListView }) {
  return (
    <Frame frame={frame} current="books">
      <PriceList initial={view} />
    </Frame>
  );
}

function PriceList({ initial }: { initial: PriceListView }) {
  const settings = useSettings();
  const { figures } = settings.shop;
  const [goal, setGoal] = useState<PriceGoal>(initial.goal);
  const [poorOnly, setPoorOnly] = useState(false);
  const { data: list, error } = useQuery({
    queryKey: ['price-list', goal],
    queryFn: ({ signal }) => callApi<PriceListView>('GET', `/api/price-list?goal=${goal}`, undefined, signal),
    placeholderData: keepPreviousData,
    ...(goal === initial.goal ? { initialData: initial } : {}),
  });
  const rows = list?.rows ?? [],
    channels = list?.channels ?? [];
  const isPoor = (row: PriceListView['rows'][number]) =>
    row.hourEarns !== null && row.hourEarns.value < figures.wagePerHour;
  const poor = rows.filter(isPoor).length;
  const shown = poorOnly ? rows.filter(isPoor) : rows;
  const goals: Readonly<Record<PriceGoal, string>> = {
    wage: `an hour earns ${formatMoney(figures.wageGoalPerHour, settings)}`,
    margin: `a margin of ${formatShare(figures.marginGoal, settings, 0)}`,
    floor: 'nothing is lost',
  };
  return (
    <>
      <BooksTabs current="/books" />
      <PriceListHead rows={rows} poor={poor} figures={figures} goal={goal} />
      {error && <Failure>{wordsOf(error)}</Failure>}
      <PriceTable
        goal={goal}
        setGoal={setGoal}
        goals={goals}
        poorOnly={poorOnly}
        setPoorOnly={setPoorOnly}
        channels={channels}
        shown={shown}
        isPoor={isPoor}
        rows={rows}
      />
      {channels.length === 0 && rows.length > 0 && (
        <p className="soft flat">
          Say where you sell on the page of an item, under “Add a channel”: a column for each stands here then.
        </p>
      )}
      <p className="soft flat above-4">
        Quoted against real stands with each order. Hours and spoilage by cause are still to come.
      </p>
    </>
  );
}

type PriceListHeadProps = {
  readonly rows: PriceListView['rows'];
  readonly poor: number;
  readonly figures: ShopFigures;
  readonly goal: PriceGoal;
};

function PriceListHead({ rows, poor, figures, goal }: PriceListHeadProps) {
  const settings = useSettings();
  return (
    <div className="page-head">
      <div>
        <h1 className="flat">
          {rows.length === 0
            ? 'No items to price yet'
            : poor === 0
              ? 'Every item earns your hour'
              : `${poor} of ${plural(rows.length, 'item')} ${verbFor(poor, 'earns', 'earn')} less than your hour of ${formatMoney(figures.wagePerHour, settings)}`}
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

type PriceTableProps = {
  readonly goal: PriceGoal;
  readonly setGoal: React.Dispatch<React.SetStateAction<PriceGoal>>;
  readonly goals: Readonly<Record<PriceGoal, string>>;
  readonly poorOnly: boolean;
  readonly setPoorOnly: React.Dispatch<React.SetStateAction<boolean>>;
  readonly channels: readonly ChannelView[];
  readonly shown: readonly {
    readonly item: ItemView;
    readonly blankName: string;
    readonly cost: Figure | null;
    readonly hourEarns: Figure | null;
    readonly asks: readonly (Figure | null)[];
    readonly problem: string | null;
  }[];
  readonly isPoor: (row: PriceListView['rows'][number]) => boolean;
  readonly rows: PriceListView['rows'];
};

function PriceTable({ goal, setGoal, goals, poorOnly, setPoorOnly, channels, shown, isPoor, rows }: PriceTableProps) {
  return (
    <section className="sheet flush" aria-label="Price list" tabIndex={0}>
      <PriceListFilters goal={goal} setGoal={setGoal} goals={goals} poorOnly={poorOnly} setPoorOnly={setPoorOnly} />
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">item</th>
            <NumberHead>made in</NumberHead>
            <NumberHead>costs</NumberHead>
            <NumberHead>your price</NumberHead>
            <NumberHead>an hour earns</NumberHead>
            {channels.map((channel) => (
              <th key={channel.id} className="right" scope="col">
                {channel.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shown.map((row) => (
            <PriceRow key={row.item.id} row={row} isPoor={isPoor} channels={channels} />
          ))}
          {shown.length === 0 && (
            <tr>
              <td colSpan={5 + channels.length} className="soft">
                {rows.length === 0 ? (
                  <>
                    Price an item first, then its prices stand here. <a href="/items/new">Price one</a>
                  </>
                ) : (
                  'None: each item earns your hour at its price.'
                )}
              </td>
            </tr>
          )}
        </tbody>
      </table>
    </section>
  );
}

type PriceListFiltersProps = {
  readonly goal: PriceGoal;
  readonly setGoal: React.Dispatch<React.SetStateAction<PriceGoal>>;
  readonly goals: Readonly<Record<PriceGoal, string>>;
  readonly poorOnly: boolean;
  readonly setPoorOnly: React.Dispatch<React.SetStateAction<boolean>>;
};

function PriceListFilters({ goal, setGoal, goals, poorOnly, setPoorOnly }: PriceListFiltersProps) {
  return (
    <div className="fields pad-top-4 pad-right-5 pad-bottom-4 pad-left-5 middle search-row">
      <TextField
        select
        size="small"
        label="Prices at which"
        value={goal}
        onChange={(event) => setGoal(event.target.value as PriceGoal)}
      >
        {Object.entries(goals).map(([key, label]) => (
          <MenuItem key={key} value={key}>
            {label}
          </MenuItem>
        ))}
      </TextField>
      <FormControlLabel
        control={<Checkbox size="small" checked={poorOnly} onChange={(_, on) => setPoorOnly(on)} />}
        label="only what earns less than your hour"
      />
    </div>
  );
}

type PriceRowProps = {
  readonly row: {
    readonly item: ItemView;
    readonly blankName: string;
    readonly cost: Figure | null;
    readonly hourEarns: Figure | null;
    readonly asks: readonly (Figure | null)[];
    readonly problem: string | null;
  };
  readonly isPoor: (row: PriceListView['rows'][number]) => boolean;
  readonly channels: readonly ChannelView[];
};

/** An item, and its price in each channel. */
function PriceRow({ row, isPoor, channels }: PriceRowProps) {
  const settings = useSettings();
  return (
    <tr>
      <td>
        <a href={`/items/${row.item.id}`}>
          <strong>{row.item.name}</strong>
        </a>
        <br />
        <span className="soft">
          {row.blankName}, {row.item.sizeName}
        </span>
        {row.problem && <div className="short">{row.problem}</div>}
      </td>
      <td className="num">{row.item.quantity}</td>
      <td className="num">{row.cost ? <Why figure={row.cost} /> : '–'}</td>
      <td className="num">{formatMoney(row.item.price, settings)}</td>
      <td className={`num ${isPoor(row) ? 'short' : ''}`}>{row.hourEarns ? <Why figure={row.hourEarns} /> : '–'}</td>
      {row.asks.map((ask, index) => (
        <td key={channels[index]!.id} className="num">
          {ask ? <Why figure={ask} /> : '–'}
        </td>
      ))}
    </tr>
  );
}
