// A thing of the stock with its lots.

import type { StockRow, LotView } from '../../views/stock';
import { useSettings } from '../shared/settings';
import type { Figure } from '../../core/units';
import { Why } from '../shared/Why';
import { formatAmount, describeLot, describeTried } from './measures';
import { plural } from '../../wording/plural';
import { Swatch } from '../shared/Swatch';

/** In weeks of use; beyond a year nobody plans. */
const formatWeeks = (weeks: number): string =>
  weeks > 52 ? '> 1 yr' : weeks < 1 ? '< 1 wk' : `${Math.floor(weeks)} wk`;

/** What is short, and until when it can still be bought in time. */
function describeShort(within: StockRow['orderWithin']): string {
  if (!within) return 'short';
  if (within.days < 0) return `short, ${-within.days} ${within.days === -1 ? 'day' : 'days'} too late to buy`;
  return within.days === 0 ? 'short, buy today' : `short, buy within ${plural(within.days, 'day')}`;
}

export function StockRows({
  row,
  onLot,
  onMinimum,
}: {
  row: StockRow;
  onLot: (lot: LotView) => void;
  onMinimum: () => void;
}) {
  const settings = useSettings();
  const { unit } = row.thing;
  const shown = (figure: Figure) => <Why figure={figure}>{formatAmount(figure.value, unit, settings)}</Why>;
  const below = row.minimum !== null && row.free.value < row.minimum.value;
  return (
    <>
      <tr className="row-head">
        <td>
          <Swatch colour={row.thing.colourHex} />
          <button
            type="button"
            className="quiet thing"
            aria-label={`Minimum of ${row.thing.name}`}
            title="Set how much to have always"
            onClick={onMinimum}
          >
            {row.thing.name}
          </button>
          {row.free.value < 0 ? (
            <span className="tag bad">{describeShort(row.orderWithin)}</span>
          ) : below && row.minimum ? (
            <span className="tag">
              under <Why figure={row.minimum}>{formatAmount(row.minimum.value, unit, settings)}</Why>
            </span>
          ) : null}
        </td>
        <td className="num">{shown(row.onShelf)}</td>
        <td className="num">{row.reserved.value > 0 ? shown(row.reserved) : '–'}</td>
        <td className="num">{shown(row.free)}</td>
        <td className="num">{row.cover ? <Why figure={row.cover}>{formatWeeks(row.cover.value)}</Why> : '–'}</td>
      </tr>
      {row.lots.map((lot) => (
        <tr key={lot.id} className="lot">
          <td colSpan={4}>
            <button type="button" className="quiet" onClick={() => onLot(lot)}>
              {describeLot(lot, settings)}
            </button>
            {lot.remark && <span className="soft">, “{lot.remark}”</span>}
            {lot.tried && <span className="soft">, {describeTried(lot.tried)}</span>}
          </td>
          <td className="num soft">
            <Why figure={lot.value} />
          </td>
        </tr>
      ))}
    </>
  );
}
