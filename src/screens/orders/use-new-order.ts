// An order as it is put together: its form, what it asks and costs as it stands, and taking it.

import { useState, type FormEvent } from 'react';
import { useForm, useWatch, type Resolver } from 'react-hook-form';
import { computeAsk, PLAIN_TERMS, priceLines, type OrderTerms } from '../../core/orders';
import type { NewOrderView, OrderAnswer } from '../../views/orders';
import { callApi, wordsOf } from '../shared/api';
import { useSave } from '../shared/form';
import { useDraft } from '../shared/use-draft';
import { useLatest } from '../shared/use-latest';
import { readTerms } from './TermFields';
import { expandLines, joinSources, startLine, type OrderLineForm } from './line-form';
import { toPriced, useOwnPrice } from './use-own-price';
import { lateRules } from '../shared/late-rules';

export type NewOrderForm = {
  /** One that was chosen among several of the name; null goes by name and contact. */
  customerId: number | null;
  customerName: string;
  contact: string;
  title: string;
  dueDay: string;
  /** Minor units, in all. */
  agreed: number;
  terms: OrderTerms;
  deposit: number;
  note: string;
  as: 'placed' | 'wished';
  earlyAccepted: boolean;
  /** The agreed price is the seller's own: it does not follow the shop's prices. */
  isOwnPrice: boolean;
  lines: OrderLineForm[];
};
export type NewOrderState = ReturnType<typeof useNewOrder>;

const check = lateRules<NewOrderForm>(async () => (await import('../../core/input')).orderInput);
/** What was typed is sent as it is: texts keep their spaces, and lists of names are taken apart only then. */
const resolver: Resolver<NewOrderForm> = async (values, context, options) => {
  const lines = values.lines.map((line) => ({ ...line, texts: [] })) as unknown as OrderLineForm[];
  const { errors } = await check({ ...values, lines }, context, options);
  return Object.keys(errors).length > 0 ? { values: {}, errors } : { values, errors: {} };
};

/** Answers are awaited after the last key by so long. */
const PAUSE_MS = 250;

export function useNewOrder(view: NewOrderView) {
  const [start] = useState(() => startForm(view));
  const form = useForm<NewOrderForm>({
    resolver,
    defaultValues: start,
  });
  const lines = useWatch({ control: form.control, name: 'lines' });
  const itemOf = findIn(view.items);
  const terms = useWatch({ control: form.control, name: 'terms' });
  const priced = priceLines(expandLines(lines), itemOf);
  const pieces = priced.reduce((sum, line) => sum + line.quantity, 0);
  const asked = computeAsk(priced, readTerms(terms));
  const { answer, failure } = useOrderAnswer(lines);
  const ownPrice = useOwnPrice(toPriced(form), asked.value);
  const draft = useDraft({
    key: `order ${JSON.stringify(view.start)}`,
    value: useWatch({ control: form.control }) as NewOrderForm,
    isChanged: form.formState.isDirty,
    restore: (values) => form.reset(values, { keepDefaultValues: true }),
    restart: () => form.reset(start),
  });
  const customerName = useWatch({ control: form.control, name: 'customerName' });
  const save = useSave<NewOrderForm, { id: number }>({
    form,
    method: 'POST',
    path: '/api/orders',
    toBody: ({ isOwnPrice: _isOwnPrice, ...values }) => ({
      ...values,
      lines: expandLines(values.lines),
      roster: joinSources(values.lines),
    }),
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
    terms: readTerms(terms),
    /** What all lines and terms come to. */
    asked,
    answer,
    failure,
    ownPrice,
    draft,
    save,
    /** The day that was chosen is past, or before the earliest one. */
    isEarly: save.reason === 'due-past' || save.reason === 'due-too-early',
    customerName,
    /** Agreed: also after it was once tried as a wish. */
    submit: (event: FormEvent) => {
      form.setValue('as', 'placed');
      save.submit(event);
    },
    /** Talked about, not agreed: nothing is promised or held for it. */
    noteWish: () => {
      form.setValue('as', 'wished');
      save.send();
    },
    takeAllTheSame: () => {
      form.setValue('earlyAccepted', true);
      save.send();
    },
  };
}

const findIn = (items: NewOrderView['items']) => (id: number) => items.find((item) => item.id === id);

function startForm({ start, items }: NewOrderView): NewOrderForm {
  const usual = startLine(items.find(({ id }) => id === start?.itemId) ?? items[0]!);
  const line = start
    ? {
        ...usual,
        itemId: start.itemId,
        quantity: start.quantity,
        sizeName: start.sizeName,
        colourName: start.colourName,
        options: start.options,
      }
    : usual;
  return {
    customerId: null,
    customerName: start?.customerName ?? '',
    contact: '',
    title: '',
    dueDay: '',
    // What is asked stands in the form from the start, before the page runs.
    agreed: start?.agreed ?? computeAsk(priceLines(expandLines([line]), findIn(items)), PLAIN_TERMS).value,
    terms: PLAIN_TERMS,
    deposit: 0,
    note: '',
    as: 'placed',
    earlyAccepted: false,
    isOwnPrice: start?.agreed != null,
    lines: [line],
  };
}

const isSound = ({ quantity, sizeName, colourName }: ReturnType<typeof expandLines>[number]) =>
  Number.isInteger(quantity) && quantity >= 1 && sizeName !== '' && colourName !== '';

/** Asked anew whenever the lines change and can be costed as they stand. */
function useOrderAnswer(wished: readonly OrderLineForm[]) {
  const [state, setState] = useState<{ answer: OrderAnswer | null; failure: string | null }>({
    answer: null,
    failure: null,
  });
  const lines = expandLines(wished).map(({ lineId: _lineId, ...line }) => line);
  useLatest(
    expandLines(wished).every(isSound) ? JSON.stringify(lines) : null,
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
