// A quick quote while it is asked for: what is typed, the answer that follows it, saving it, and the quotes given
// before.

import { useSendOnce } from './use-send-once';
import { useNumbers, type Numbers } from './use-numbers';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { OrderableItem } from '../../views/orders';
import type { QuoteAnswer, QuoteStart, QuoteView } from '../../views/quotes';
import { callApi, wordsOf } from './api';
import type { DrawingWish } from './QuoteDrawing';
import { useLatest } from './use-latest';

export type QuoteForm = {
  readonly item: OrderableItem | null;
  /** Instead of an item. */
  readonly drawing: DrawingWish | null;
  readonly sizeName: string;
  readonly colourName: string;
  /** Of the item, by their place in it. */
  readonly options: readonly number[];
  readonly quantity: string;
  /** Empty: the item's own. */
  readonly each: string;
  readonly customerName: string;
};
const START: QuoteForm = {
  item: null,
  drawing: null,
  sizeName: '',
  colourName: '',
  options: [],
  quantity: '1',
  each: '',
  customerName: '',
};

const QUOTES_KEY = ['quotes'] as const;
const PAUSE_MS = 150;

export function useQuickQuote() {
  const numbers = useNumbers();
  const client = useQueryClient();
  const { data: start } = useQuery({
    queryKey: QUOTES_KEY,
    queryFn: ({ signal }) => callApi<QuoteStart>('GET', '/api/quotes', undefined, signal),
    refetchOnMount: true,
  });
  const [form, setForm] = useState(START);
  const [answer, setAnswer] = useState<QuoteAnswer | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const [saving, setSaving] = useState(false);
  const sendOnce = useSendOnce();
  const read = readForm(form, numbers);
  const body = toBody(form, read);
  const asking = useLatest(
    read.sound ? JSON.stringify({ ...body, customerName: '' }) : null,
    PAUSE_MS,
    (signal) => ask(body, signal),
    (next) => {
      setFailure(next.failure);
      setAnswer(next.answer);
    },
  );
  /** The id of the saved quote; null where it was refused, with the reason shown. */
  const save = async (): Promise<number | null> => {
    setSaving(true);
    try {
      const { id } = await sendOnce<{ id: number }>('POST', '/api/quotes', body);
      await client.invalidateQueries({ queryKey: QUOTES_KEY });
      return id;
    } catch (error) {
      setFailure(wordsOf(error));
      return null;
    } finally {
      setSaving(false);
    }
  };
  const archive = async (quote: QuoteView, on: boolean) => {
    await callApi(on ? 'DELETE' : 'POST', `/api/quotes/${quote.id}`);
    await client.invalidateQueries({ queryKey: QUOTES_KEY });
  };
  return {
    start,
    form,
    set: (part: Partial<QuoteForm>) => setForm((before) => ({ ...before, ...part })),
    read,
    answer: read.sound ? answer : null,
    failure,
    busy: asking.busy,
    saving,
    save,
    archive,
  };
}
export type QuickQuoteState = ReturnType<typeof useQuickQuote>;

/** `each` in minor units. */
type ReadForm = { readonly quantity: number | null; readonly each: number | null; readonly sound: boolean };

function readForm(form: QuoteForm, numbers: Numbers): ReadForm {
  const quantity = numbers.read(form.quantity);
  const each = numbers.readMoney(form.each);
  const hasThing = form.item !== null || form.drawing !== null;
  const hasQuantity = quantity !== null && Number.isInteger(quantity) && quantity >= 1;
  return { quantity, each, sound: hasThing && hasQuantity && (form.each.trim() === '' || each !== null) };
}

function toBody(form: QuoteForm, { quantity, each }: ReadForm) {
  const { item, drawing, sizeName, colourName, options, customerName } = form;
  return {
    itemId: item?.id ?? null,
    drawing: drawing && {
      artworkId: drawing.artwork.id,
      blankId: drawing.blank.id,
      widthMm: drawing.widthMm,
      vinylIds: drawing.vinylIds,
    },
    sizeName,
    colourName,
    options,
    quantity,
    each,
    customerName,
  };
}

async function ask(body: unknown, signal: AbortSignal) {
  try {
    return { answer: await callApi<QuoteAnswer>('POST', '/api/quotes/ask', body, signal), failure: null };
  } catch (error) {
    if (signal.aborted) throw error;
    return { answer: null, failure: wordsOf(error) };
  }
}
