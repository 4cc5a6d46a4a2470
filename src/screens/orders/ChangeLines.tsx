// The lines of an open order are changed. What was begun and is not wanted any more is asked about before anything is.

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import LinearProgress from '@mui/material/LinearProgress';
import { useQuery } from '@tanstack/react-query';
import { useForm, useWatch } from 'react-hook-form';
import { computeAsk, moveAgreed, priceLines, type AskedLine, type Fate } from '../../core/orders';
import type { OrderableItem, OrderView } from '../../views/orders';
import { callApi, wordsOf } from '../shared/api';
import { Failure } from '../shared/Failure';
import { FormActions, useSave } from '../shared/form';
import { formatMoney } from '../../core/units';
import { useSettings } from '../shared/settings';
import { AgreedPrice } from './AgreedPrice';
import { toPriced, useOwnPrice, type PricedForm } from './use-own-price';
import { expandLines, joinSources, toLineForms, type OrderLineForm } from './line-form';
import { OrderLines } from './OrderLines';

type Props = { readonly view: OrderView; readonly onClose: () => void; readonly onSaved: () => void };
type LinesChangeForm = PricedForm & { lines: OrderLineForm[]; fate: Fate | null };

export default function ChangeLines(props: Props) {
  const { data, error } = useQuery({
    queryKey: ['orderable items'],
    queryFn: ({ signal }) =>
      callApi<{ items: readonly OrderableItem[] }>('GET', '/api/orders/items', undefined, signal),
  });
  return (
    <Dialog open onClose={props.onClose} fullWidth maxWidth="lg" aria-labelledby="lines-title">
      <DialogTitle id="lines-title">Change the lines</DialogTitle>
      {error && (
        <DialogContent>
          <Failure>{wordsOf(error)}</Failure>
        </DialogContent>
      )}
      {data ? <LinesForm {...props} items={data.items} /> : !error && <LinearProgress aria-label="Reading the items" />}
    </Dialog>
  );
}

function LinesForm({ view, items, onClose, onSaved }: Props & { readonly items: readonly OrderableItem[] }) {
  const settings = useSettings();
  const form = useForm<LinesChangeForm>({
    // The server checks the lines; what it said about them last is no reason not to ask it again.
    resolver: (values) => ({ values, errors: {} }),
    defaultValues: { lines: [...toLineForms(view.lines)], fate: null, agreed: view.row.agreed, isOwnPrice: false },
  });
  const lines = useWatch({ control: form.control, name: 'lines' });
  const ask = (asked: readonly AskedLine[]) =>
    computeAsk(
      priceLines(asked, (id) => items.find((item) => item.id === id)),
      view.terms,
    ).value;
  const moved = moveAgreed(view.row.agreed, ask(view.lines), ask(expandLines(lines)));
  const price = useOwnPrice(toPriced(form), moved);
  const save = useSave<LinesChangeForm, unknown>({
    form,
    method: 'PUT',
    path: `/api/orders/${view.row.id}/lines`,
    version: view.version,
    onSaved,
    toBody: (values) => ({
      lines: expandLines(values.lines),
      fate: values.fate,
      roster: joinSources(values.lines),
      agreed: values.agreed,
    }),
  });
  const settle = (fate: Fate) => {
    form.setValue('fate', fate);
    save.send();
  };
  const isBegun = save.reason === 'pieces-begun';
  return (
    <form noValidate onSubmit={save.submit}>
      <DialogContent className="cols">
        <p className="soft flat">
          Costs of pieces that stay are as they were agreed; new ones are calculated as of today.
        </p>
        <OrderLines form={form as never} items={items} lines={lines} />
        <AgreedPrice
          form={toPriced(form)}
          price={price}
          follows={`${formatMoney(view.row.agreed, settings)} before; it follows the prices of the lines`}
        />
      </DialogContent>
      <FormActions
        save={save}
        label="Save the lines"
        onCancel={onClose}
        extra={
          isBegun && (
            <>
              <Button onClick={() => settle('spare')}>Keep as spares</Button>
              <Button onClick={() => settle('spoiled')}>Book as spoiled</Button>
            </>
          )
        }
      />
    </form>
  );
}
