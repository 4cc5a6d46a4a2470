// One customer: how they are reached, their orders, and what these were worth.

import { yupResolver } from '@hookform/resolvers/yup';
import Button from '@mui/material/Button';
import { useForm } from 'react-hook-form';
import { customerInput } from '../../core/input';
import { formatDay, formatMoney } from '../../core/units';
import type { CustomerView } from '../../views/customers';
import type { OrderRow } from '../../views/orders';
import { plural, verbFor } from '../../wording/plural';
import { STAGE_NAMES } from '../../wording/stations';
import { TextLine, useSave } from '../shared/form';
import { NumberHead } from '../shared/NumberHead';
import { useSettings } from '../shared/settings';
import { useArchive } from '../shared/use-archive';
import { OrderRooms } from './OrderRooms';

export default function CustomerContent({ view }: { view: CustomerView }) {
  return <Customer view={view} />;
}

function Customer({ view }: { readonly view: CustomerView }) {
  const settings = useSettings();
  const { customer, orders, namesakes } = view;
  const { archived, archive } = useArchive({
    path: `/api/customers/${customer.id}`,
    archived: customer.archived,
    told: 'Archived: not proposed for new orders any more.',
  });
  return (
    <>
      <OrderRooms current="/customers" />
      <div className="page-head">
        <div>
          <h1 className="flat">{customer.name}</h1>
          <p className="flat above-1 text-large">
            {plural(customer.orders, 'order')} worth {formatMoney(customer.worth, settings)}
            {customer.owed > 0 && (
              <>
                , <span className="short">{formatMoney(customer.owed, settings)} of it owed</span>
              </>
            )}
            .
          </p>
        </div>
        <div className="actions">
          <Button onClick={() => void archive(!archived)}>{archived ? 'Restore' : 'Archive'}</Button>
        </div>
      </div>
      {namesakes.length > 0 && (
        <p className="sheet flat below-4">
          {plural(namesakes.length, 'other')} {verbFor(namesakes.length, 'is', 'are')} called so:{' '}
          {namesakes.map((other) => (
            <a key={other.id} href={`/customers/${other.id}`}>
              {other.contact || 'no contact'}
            </a>
          ))}
        </p>
      )}
      <div className="cols split-1-2">
        <CustomerForm customer={customer} />
        <OrdersOf orders={orders} />
      </div>
    </>
  );
}

function CustomerForm({ customer }: Pick<CustomerView, 'customer'>) {
  const { name, contact, address, note } = customer;
  const form = useForm({ resolver: yupResolver(customerInput), defaultValues: { name, contact, address, note } });
  const save = useSave({
    form,
    method: 'PUT',
    path: `/api/customers/${customer.id}`,
    version: customer.version,
    onSaved: () => location.reload(),
  });
  return (
    <form noValidate onSubmit={save.submit} className="sheet lifted cols" aria-label="The customer">
      <TextLine form={form} name="name" label="Name" />
      <TextLine
        form={form}
        name="contact"
        label="Reached by"
        help="Mail or telephone: tells people of one name apart"
      />
      <TextLine form={form} name="address" label="Address" multiline />
      <TextLine form={form} name="note" label="Note" multiline />
      {save.failure && (
        <p role="alert" className="short flat">
          {save.failure}
        </p>
      )}
      <div className="actions">
        <Button type="submit" variant="contained" disabled={save.pending}>
          Save
        </Button>
      </div>
    </form>
  );
}

function OrdersOf({ orders }: { readonly orders: readonly OrderRow[] }) {
  const settings = useSettings();
  return (
    <section className="sheet flush" aria-label="Orders">
      <table className="plain">
        <thead>
          <tr>
            <NumberHead>no.</NumberHead>
            <th scope="col">order</th>
            <th scope="col">due</th>
            <th scope="col">state</th>
            <NumberHead>agreed</NumberHead>
            <NumberHead>owed</NumberHead>
          </tr>
        </thead>
        <tbody>
          {orders.map((row) => (
            <tr key={row.id}>
              <td className="num soft">{row.id}</td>
              <td>
                <a href={`/orders/${row.id}`}>{row.title}</a>
              </td>
              <td className="nowrap">{formatDay(row.dueDay, settings)}</td>
              <td className="soft">{STAGE_NAMES[row.stage]}</td>
              <td className="num">{formatMoney(row.agreed, settings)}</td>
              <td className="num">{row.stage === 'cancelled' ? '' : formatMoney(row.owed, settings)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {orders.length === 0 && <p className="soft pad-4 flat">No order yet.</p>}
    </section>
  );
}
