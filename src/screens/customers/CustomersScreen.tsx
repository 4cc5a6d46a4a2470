// Customers: who they are, how they are reached, and what they ordered.

import Button from '@mui/material/Button';
import { formatInstant, formatMoney } from '../../core/units';
import type { CustomerListView } from '../../views/customers';
import type { FrameView } from '../../views/frame';
import { plural } from '../../wording/plural';
import { callApi, wordsOf } from '../shared/api';
import { FileButton } from '../shared/FileButton';
import { Frame } from '../shared/Frame';
import { ListSearch, Pager } from '../shared/ListTools';
import { NumberHead } from '../shared/NumberHead';
import { asPage } from '../shared/page-data';
import { useSettings } from '../shared/settings';
import { useListView } from '../shared/use-list-view';
import { OrderRooms } from './OrderRooms';
import { enqueueSnackbar } from '../shared/snackbar';

export const CustomersScreen = asPage(function CustomersScreen({
  frame,
  view,
}: {
  frame: FrameView;
  view: CustomerListView;
}) {
  return (
    <Frame frame={frame} current="orders" newHref="/orders/new">
      <Customers initial={view} />
    </Frame>
  );
});

function Customers({ initial }: { readonly initial: CustomerListView }) {
  const { rows, query, at } = useListView('/api/customers', initial);
  return (
    <>
      <OrderRooms current="/customers" />
      <div className="page-head">
        <h1 className="flat">{query.words ? `${plural(at.total, 'customer')} found` : plural(at.total, 'customer')}</h1>
        <div className="actions">
          <ImportCustomers />
          <Button href="/api/customers/table.csv" download>
            Export as CSV
          </Button>
        </div>
      </div>
      <div className="list-tools">
        <ListSearch label="Find a customer" query={query} />
      </div>
      <CustomerTable rows={rows} words={query.words} />
      <Pager at={at} query={query} />
    </>
  );
}

function ImportCustomers() {
  const read = async (file: File) => {
    try {
      const { added, known } = await callApi<{ added: number; known: number }>('POST', '/api/customers', file);
      enqueueSnackbar(`${plural(added, 'customer')} added, ${known} known before.`);
      if (added > 0) location.reload();
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
    }
  };
  return (
    <FileButton label="File with customers" accept=".csv,.txt,text/csv" onFile={(file) => void read(file)}>
      Import…
    </FileButton>
  );
}

function CustomerTable({ rows, words }: Pick<CustomerListView, 'rows'> & { readonly words: string }) {
  const settings = useSettings();
  return (
    <div className="sheet flush" tabIndex={0} role="region" aria-label="Customers">
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">customer</th>
            <th scope="col">reached by</th>
            <NumberHead>orders</NumberHead>
            <NumberHead>worth</NumberHead>
            <NumberHead>owed</NumberHead>
            <th scope="col">last order</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.id}>
              <td>
                <a href={`/customers/${row.id}`}>
                  <strong>{row.name}</strong>
                </a>
              </td>
              <td className="soft">{row.contact}</td>
              <td className="num">{row.orders}</td>
              <td className="num">{formatMoney(row.worth, settings)}</td>
              <td className={`num ${row.owed > 0 ? 'short' : 'soft'}`}>{formatMoney(row.owed, settings)}</td>
              <td className="soft nowrap">{row.lastAtMs === null ? '' : formatInstant(row.lastAtMs, settings)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {rows.length === 0 && (
        <p className="soft pad-4 flat">
          {words ? 'No customer is called or reached so.' : 'Customers come with their first order.'}
        </p>
      )}
    </div>
  );
}
