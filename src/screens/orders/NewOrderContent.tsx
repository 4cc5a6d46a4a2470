// Taking an order: who, what, how many, by when, for how much.

import Button from '@mui/material/Button';
import { formatDay } from '../../core/units';
import type { NewOrderView, OrderAnswer } from '../../views/orders';
import { plural } from '../../wording/plural';
import { DraftNotice } from '../shared/DraftNotice';
import { Failure } from '../shared/Failure';
import { TextLine } from '../shared/form';
import { MoneyField } from '../shared/number-fields';
import { InTheWay } from '../shared/InTheWay';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import { AgreedPrice } from './AgreedPrice';
import { TermFields } from './TermFields';
import type { UseFormReturn } from 'react-hook-form';
import { OrderLines, type LinesForm } from './OrderLines';
import { useNewOrder, type NewOrderState } from './use-new-order';
import { toPriced } from './use-own-price';

export default function NewOrderContent({ view }: { view: NewOrderView }) {
  return <>{view.items.length === 0 ? <NoItems /> : <NewOrder view={view} />}</>;
}

function NoItems() {
  return (
    <div className="sheet empty">
      <p>An order is made of items. Price the first one: a blank, a drawing, and a vinyl for each of its colours.</p>
      <Button variant="contained" href="/items/new">
        Price an item
      </Button>
    </div>
  );
}

function NewOrder({ view }: { readonly view: NewOrderView }) {
  const order = useNewOrder(view);
  const { form, save } = order;
  return (
    <form noValidate onSubmit={order.submit}>
      <div className="page-head">
        <OrderVerdict order={order} />
        <div className="actions">
          <Button href="/orders">Back to the orders</Button>
          <Button type="button" disabled={save.pending} onClick={order.noteWish}>
            Note as a wish
          </Button>
          <Button type="submit" variant="contained" disabled={save.pending}>
            Take the order
          </Button>
        </div>
      </div>
      <DraftNotice draft={order.draft} />
      {save.failure && (
        <Failure spaced>
          {save.failure}
          {order.isEarly && (
            <Button size="small" variant="text" onClick={order.takeAllTheSame}>
              Take it all the same
            </Button>
          )}
        </Failure>
      )}
      <div className="cols split-1-2">
        <section className="sheet lifted cols">
          <TextLine
            form={form}
            name="customerName"
            label="Customer"
            list={[...new Set(view.customers.map((customer) => customer.name))]}
            autoFocus
          />
          <TextLine
            form={form}
            name="contact"
            label="Contact, if new"
            list={contactsOf(view, order.customerName)}
            help="Tells people of one name apart"
          />
          <TextLine form={form} name="title" label="What for" help="How you will call it at the bench" />
          <TextLine form={form} name="dueDay" label="Due" type="date" help={<DueHelp answer={order.answer} />} />
          <TermFields form={form} terms={order.terms} />
          <AgreedPrice form={toPriced(form)} price={order.ownPrice} follows="Follows your prices" />
          <MoneyField form={form} name="deposit" label="Deposit asked for" help="Before the work begins; 0 for none" />
          <TextLine form={form} name="note" label="Note" multiline />
        </section>
        <div className="cols">
          <OrderLines form={form as unknown as UseFormReturn<LinesForm>} items={view.items} lines={order.lines} />
          {/* Below what is typed: an answer that arrives must not move a field from under the hand. */}
          {order.answer?.findings.map(({ itemName, ...finding }) => (
            <InTheWay key={itemName} of={itemName} findings={[finding]} />
          ))}
        </div>
      </div>
    </form>
  );
}

/** What the order comes to: asked at the shop's prices, and what it costs as it is made. */
function OrderVerdict({ order: { pieces, asked, answer, failure } }: { readonly order: NewOrderState }) {
  const problem = answer?.problems[0];
  return (
    <div>
      <h1 className="flat">Take an order</h1>
      <p className="soft flat above-1 below-4 text-large" aria-live="polite">
        {plural(pieces, 'piece')} {pieces === 1 ? 'comes' : 'come'} to{' '}
        <strong>
          <Why figure={asked} />
        </strong>
        {answer?.cost && (
          <>
            , and {pieces === 1 ? 'costs' : 'cost'} about <Why figure={answer.cost} />
          </>
        )}
        .
        {problem && (
          <span className="short">
            {' '}
            What it costs is not known: {problem.itemName}: {problem.words}
          </span>
        )}
        {failure && <span className="short"> {failure}</span>}
      </p>
    </div>
  );
}

const NO_BREAK = '\u00a0';

function DueHelp({ answer }: { readonly answer: OrderAnswer | null }) {
  const settings = useSettings();
  // Its line is kept free: what is below stays where it is.
  if (!answer?.ready) return <>{NO_BREAK}</>;
  const { ready, toBuy } = answer;
  const missing = toBuy.length > 0 ? `, once there is ${toBuy.map(({ name }) => name).join(', ')}` : '';
  return (
    <>
      At the earliest {formatDay(ready.day, settings)}
      {missing}
    </>
  );
}

/** How customers of that name were reached. */
const contactsOf = ({ customers }: NewOrderView, name: string): readonly string[] =>
  customers.filter((customer) => customer.name === name.trim()).map(({ contact }) => contact);
