// An order as it is put together: its form, what it asks and costs as it stands, and taking it.

import { yupResolver } from '@hookform/resolvers/yup';
import { useEffect, useState } from 'react';
import { useForm, useWatch, type Resolver, type UseFormReturn } from 'react-hook-form';
import { orderInput } from '../../core/input';
import { sumAsked } from '../../core/orders';
import type { NewOrderView, OrderableItem, OrderAnswer } from '../../views/orders';
import { callApi, wordsOf } from '../shared/api';
import { useSave } from '../shared/form';
import { useDraft } from '../shared/use-draft';
import { useLatest } from '../shared/use-latest';

export type OrderLineForm = {
  readonly itemId: number;
  readonly quantity: number;
  readonly sizeName: string;
  readonly colourName: string;
  readonly options: readonly number[];
};
export type NewOrderForm = {
  customerName: string;
  contact: string;
  title: string;
  dueDay: string;
  /** Minor units, in all. */
  agreed: number;
  note: string;
  earlyAccepted: boolean;
  /** The agreed price is the seller's own: it does not follow the shop's prices. */
  isOwnPrice: boolean;
  lines: OrderLineForm[];
};
export type NewOrderState = ReturnType<typeof useNewOrder>;

/** Answers are awaited after the last key by so long. */
const PAUSE_MS = 250;

export function useNewOrder(view: NewOrderView) {
  const [start] = useState(() => startForm(view));
  const form = useForm<NewOrderForm>({
    resolver: yupResolver(orderInput) as unknown as Resolver<NewOrderForm>,
    defaultValues: start,
  });
  const lines = useWatch({ control: form.control, name: 'lines' });
  const itemOf = (id: number) => view.items.find((item) => item.id === id);
  const { pieces, asked } = sumAsked(lines.map(toAsked), itemOf);
  const { answer, failure } = useOrderAnswer(lines);
  const ownPrice = useOwnPrice(form, asked);
  const draft = useDraft({
    key: `order ${JSON.stringify(view.start)}`,
    value: useWatch({ control: form.control }) as NewOrderForm,
    isChanged: form.formState.isDirty,
    restore: (values) => form.reset(values, { keepDefaultValues: true }),
    restart: () => form.reset(start),
  });
  const save = useSave<NewOrderForm, { id: number }>({
    form,
    method: 'POST',
    path: '/api/orders',
    onSaved: ({ id }) => {
      draft.clear();
      location.assign(`/orders/${id}`);
    },
  });
  return {
    form,
    lines,
    itemOf,
    pieces,
    /** Of all lines at the shop's prices, minor units. */
    asked,
    answer,
    failure,
    ownPrice,
    draft,
    save,
    /** The day that was chosen is past, or before the earliest one. */
    isEarly: save.reason === 'due-past' || save.reason === 'due-too-early',
    takeAllTheSame: () => {
      form.setValue('earlyAccepted', true);
      save.send();
    },
  };
}

/** A line as an item is usually made. */
export const startLine = ({ id, usualSize, usualColour }: OrderableItem): OrderLineForm => ({
  itemId: id,
  quantity: 1,
  sizeName: usualSize,
  colourName: usualColour,
  options: [],
});

function startForm({ start, items }: NewOrderView): NewOrderForm {
  const line = start ?? startLine(items[0]!);
  const { itemId, quantity, sizeName, colourName, options } = line;
  return {
    customerName: start?.customerName ?? '',
    contact: '',
    title: '',
    dueDay: '',
    agreed: start?.agreed ?? 0,
    note: '',
    earlyAccepted: false,
    isOwnPrice: start?.agreed != null,
    lines: [{ itemId, quantity, sizeName, colourName, options }],
  };
}

/** Choices hold their numbers as text. */
const toAsked = (line: OrderLineForm) => ({ ...line, itemId: Number(line.itemId), quantity: Number(line.quantity) });

const isSound = ({ quantity, sizeName, colourName }: OrderLineForm) =>
  Number.isInteger(quantity) && quantity >= 1 && sizeName !== '' && colourName !== '';

/** Asked anew whenever the lines change and can be costed as they stand. */
function useOrderAnswer(wished: readonly OrderLineForm[]) {
  const [state, setState] = useState<{ answer: OrderAnswer | null; failure: string | null }>({
    answer: null,
    failure: null,
  });
  const lines = wished.map(toAsked);
  useLatest(
    lines.every(isSound) ? JSON.stringify(lines) : null,
    PAUSE_MS,
    async (signal) => {
      try {
        return {
          answer: await callApi<OrderAnswer>('POST', '/api/orders/ask', { lines }, signal),
          failure: null,
        };
      } catch (error) {
        if (signal.aborted) throw error;
        return { answer: null, failure: wordsOf(error) };
      }
    },
    setState,
  );
  return state;
}

/** The agreed price follows what is asked until it is the seller's own. */
function useOwnPrice(form: UseFormReturn<NewOrderForm>, asked: number) {
  const isOwn = useWatch({ control: form.control, name: 'isOwnPrice' });
  const [serial, setSerial] = useState(0);
  useEffect(() => {
    if (!isOwn) form.setValue('agreed', asked);
  }, [isOwn, asked, form]);
  return {
    isOwn,
    serial,
    mark: () => form.setValue('isOwnPrice', true, { shouldDirty: true }),
    drop: () => {
      form.setValue('isOwnPrice', false);
      setSerial((before) => before + 1);
    },
  };
}
