// Items: what each costs and what an hour on it earns.

import Button from '@mui/material/Button';
import { formatMoney } from '../../core/units';
import type { ItemListView } from '../../views/items';
import { describeCauses } from '../../wording/cost-change';
import { useListView } from '../shared/use-list-view';
import { ListSearch, Pager, SortHead } from '../shared/ListTools';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import { plural, verbFor } from '../../wording/plural';
import { NumberHead } from '../shared/NumberHead';

export default function ItemsContent({ view }: { view: ItemListView }) {
  return <Items initial={view} />;
}

function Items({ initial }: { readonly initial: ItemListView }) {
  const view = useListView('/api/items', initial);
  const settings = useSettings();
  const { wagePerHour } = settings.shop.figures;
  const { all, poor } = view;
  return (
    <>
      <div className="page-head">
        <div>
          <h1 className="flat">
            {all === 0
              ? 'No items yet'
              : poor === 0
                ? 'Every item earns your hour'
                : `${poor} of ${plural(all, 'item')} ${verbFor(poor, 'earns', 'earn')} less than your hour of ${formatMoney(wagePerHour, settings)}`}
          </h1>
        </div>
        <div className="actions">
          <Button variant="contained" href="/items/new">
            Price a new item
          </Button>
        </div>
      </div>
      {all === 0 ? (
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

/** Lists as short as that are seen at a glance. */
const SHORT_LIST = 12;

function ItemTable({ view, wagePerHour }: ItemTableProps) {
  const { query, at, all } = view;
  return (
    <>
      {all > SHORT_LIST && <ListSearch label="Find an item" query={query} />}
      <div className="sheet flush" tabIndex={0} role="region" aria-label="Items">
        <table className="plain">
          <thead>
            <tr>
              <th scope="col" />
              <SortHead sort="name" query={query}>
                item
              </SortHead>
              <SortHead sort="made" query={query} right>
                made in
              </SortHead>
              <NumberHead>cash cost</NumberHead>
              <NumberHead>full cost</NumberHead>
              <SortHead sort="cost" query={query} right>
                with risk
              </SortHead>
              <SortHead sort="price" query={query} right>
                price
              </SortHead>
              <SortHead sort="hour" query={query} right>
                an hour earns
              </SortHead>
            </tr>
          </thead>
          <tbody>
            {view.rows.map((row) => (
              <ItemRow key={row.id} row={row} wagePerHour={wagePerHour} />
            ))}
            {view.rows.length === 0 && (
              <tr>
                <td colSpan={8} className="soft">
                  No item is called so.
                </td>
              </tr>
            )}
          </tbody>
        </table>
      </div>
      <Pager at={at} query={query} />
    </>
  );
}

type ItemRowProps = { readonly row: ItemListView['rows'][number]; readonly wagePerHour: number };

function ItemRow({ row, wagePerHour }: ItemRowProps) {
  const { id, blankName, cost, change, hourEarns, problem } = row;
  const working = (of: string) => `/api/items/${id}/working?of=${of}`;
  const settings = useSettings();
  return (
    <tr>
      <td className="picture-column">
        <span className="thumb pad-1 border-box picture-small">
          {row.pictureHref && <img src={row.pictureHref} alt="" loading="lazy" className="drawn" />}
        </span>
      </td>
      <td>
        <a href={`/items/${id}`}>
          <strong>{row.name}</strong>
        </a>
        <br />
        <span className="soft">
          {blankName}, {row.sizeName}
        </span>
        {problem && <div className="short">{problem}</div>}
        {change && (
          <div className="soft">
            was {formatMoney(change.was, settings)}, now {formatMoney(change.now.value, settings)},{' '}
            {describeCauses(change, settings)}
          </div>
        )}
      </td>
      <td className="num">{row.quantity}</td>
      {cost ? (
        <>
          <td className="num">
            <Why figure={cost.cash} from={working('cash')} />
          </td>
          <td className="num">
            <Why figure={cost.full} from={working('full')} />
          </td>
          <td className="num">
            <Why figure={cost.withRisk} from={working('withRisk')} />
          </td>
        </>
      ) : (
        <td colSpan={3} className="soft right">
          can’t be made so
        </td>
      )}
      <td className="num">{formatMoney(row.price, settings)}</td>
      <td className={`num ${hourEarns && hourEarns.value < wagePerHour ? 'short' : ''}`}>
        {hourEarns ? <Why figure={hourEarns} from={working('hourEarns')} /> : '–'}
      </td>
    </tr>
  );
}
