// Items: what each costs and what an hour on it earns.

import Button from '@mui/material/Button';
import { formatMoney } from '../../core/units';
import type { FrameView } from '../../views/frame';
import type { ItemListView } from '../../views/items';
import { describeCauses } from '../../wording/cost-change';
import { Frame } from '../shared/Frame';
import { Picture } from '../shared/Picture';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import { plural, verbFor } from '../../wording/plural';
import { NumberHead } from '../shared/NumberHead';

export function ItemsScreen({ frame, view }: { frame: FrameView; view: ItemListView }) {
  return (
    <Frame frame={frame} current="items" newHref="/items/new">
      <Items view={view} />
    </Frame>
  );
}

function Items({ view }: { view: ItemListView }) {
  const settings = useSettings();
  const { wagePerHour } = settings.shop.figures;
  const poor = view.rows.filter((row) => row.hourEarns && row.hourEarns.value < wagePerHour);
  return (
    <>
      <div className="page-head">
        <div>
          <h1 className="flat">
            {view.rows.length === 0
              ? 'No items yet'
              : poor.length === 0
                ? 'Every item earns your hour'
                : `${poor.length} of ${plural(view.rows.length, 'item')} ${verbFor(poor.length, 'earns', 'earn')} less than your hour of ${formatMoney(wagePerHour, settings)}`}
          </h1>
        </div>
        <div className="actions">
          <Button variant="contained" href="/items/new">
            Price a new item
          </Button>
        </div>
      </div>
      {view.rows.length === 0 ? (
        <div className="sheet empty lifted">
          <p>
            An item is a blank, a drawing on it, and a vinyl for each colour. Chiral tells what one costs and what to
            ask.
          </p>
          <Button variant="contained" href="/items/new">
            Price the first item
          </Button>
        </div>
      ) : (
        <ItemTable view={view} wagePerHour={wagePerHour} />
      )}
    </>
  );
}

type ItemTableProps = {
  readonly view: ItemListView;
  readonly wagePerHour: number;
};

function ItemTable({ view, wagePerHour }: ItemTableProps) {
  return (
    <div className="sheet flush" tabIndex={0} role="region" aria-label="Items">
      <table className="plain">
        <thead>
          <tr>
            <th scope="col" />
            <th scope="col">item</th>
            <NumberHead>made in</NumberHead>
            <NumberHead>cash cost</NumberHead>
            <NumberHead>full cost</NumberHead>
            <NumberHead>with risk</NumberHead>
            <NumberHead>price</NumberHead>
            <NumberHead>an hour earns</NumberHead>
          </tr>
        </thead>
        <tbody>
          {view.rows.map((row) => (
            <ItemRow key={row.item.id} row={row} wagePerHour={wagePerHour} />
          ))}
        </tbody>
      </table>
    </div>
  );
}

type ItemRowProps = { readonly row: ItemListView['rows'][number]; readonly wagePerHour: number };

function ItemRow({ row, wagePerHour }: ItemRowProps) {
  const { item, picture, blankName, cost, change, hourEarns, problem } = row;
  const settings = useSettings();
  return (
    <tr>
      <td className="picture-column">
        <span className="thumb pad-1 border-box picture-small">
          <Picture picture={picture} label="" />
        </span>
      </td>
      <td>
        <a href={`/items/${item.id}`}>
          <strong>{item.name}</strong>
        </a>
        <br />
        <span className="soft">
          {blankName}, {item.sizeName}
        </span>
        {problem && <div className="short">{problem}</div>}
        {change && (
          <div className="soft">
            was {formatMoney(change.was, settings)}, now {formatMoney(change.now.value, settings)},{' '}
            {describeCauses(change, settings)}
          </div>
        )}
      </td>
      <td className="num">{item.quantity}</td>
      {cost ? (
        <>
          <td className="num">
            <Why figure={cost.cash} />
          </td>
          <td className="num">
            <Why figure={cost.full} />
          </td>
          <td className="num">
            <Why figure={cost.withRisk} />
          </td>
        </>
      ) : (
        <td colSpan={3} className="soft right">
          can’t be made so
        </td>
      )}
      <td className="num">{formatMoney(item.price, settings)}</td>
      <td className={`num ${hourEarns && hourEarns.value < wagePerHour ? 'short' : ''}`}>
        {hourEarns ? <Why figure={hourEarns} /> : '–'}
      </td>
    </tr>
  );
}
