// A piece at the stall as it is put together: what it says and costs, how long it takes, and taking it exactly once.

import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { askPieces } from '../../core/orders';
import type { OrderableItem } from '../../views/orders';
import type { StallAnswer, StallQueue, StallTaken, StallView } from '../../views/stall';
import { listTexts, startLine, type OrderLineForm } from '../orders/line-form';
import { callApi, wordsOf } from '../shared/api';
import { useLatest } from '../shared/use-latest';
import { useSendOnce } from '../shared/use-send-once';

type StallPiece = Pick<OrderLineForm, 'itemId' | 'quantity' | 'sizeName' | 'colourName' | 'options' | 'texts'> & {
  readonly customerName: string;
};

/** An item as most take it: with all that can be written on it. */
function startPiece(item: OrderableItem): StallPiece {
  const { itemId, quantity, sizeName, colourName, texts } = startLine(item);
  const options = item.options.flatMap(({ text }, at) => (text === null ? [] : [at]));
  return { itemId, quantity, sizeName, colourName, options, texts, customerName: '' };
}

const PAUSE_MS = 300;
const LOOK_MS = 20_000;

export type StallState = ReturnType<typeof useStall>;

export function useStall({ items, queue: firstQueue }: StallView) {
  const [piece, setPiece] = useState<StallPiece | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const [isRead, setRead] = useState(false);
  const [taken, setTaken] = useState<StallTaken | null>(null);
  const [isBusy, setBusy] = useState(false);
  const sendOnce = useSendOnce();
  const client = useQueryClient();
  const { data: queue } = useQuery({
    queryKey: ['stall'],
    queryFn: ({ signal }) => callApi<StallQueue>('GET', '/api/stall', undefined, signal),
    initialData: firstQueue,
    refetchInterval: LOOK_MS,
  });
  const item = items.find(({ id }) => id === piece?.itemId);
  const line = piece && item ? toLine(piece, item) : null;
  const { answer, setAnswer } = useAnswer(line, setFailure);
  const change = (part: Partial<StallPiece>) => {
    setPiece((before) => before && { ...before, ...part });
    // What was read is another text now.
    if (part.texts || part.options) setRead(false);
  };
  const next = () => {
    setPiece(null);
    setAnswer(null);
    setFailure(null);
    setTaken(null);
    setRead(false);
  };
  const take = async (paidBy: string | null) => {
    if (!line || !piece) return;
    setBusy(true);
    try {
      setTaken(
        await sendOnce<StallTaken>('POST', '/api/stall', { ...line, customerName: piece.customerName, paidBy, isRead }),
      );
      setFailure(null);
      void client.invalidateQueries({ queryKey: ['stall'] });
    } catch (error) {
      setFailure(wordsOf(error));
    } finally {
      setBusy(false);
    }
  };
  return {
    piece,
    item,
    texts: listTexts(item, piece?.options ?? []),
    saysAnything: (line?.texts.length ?? 0) > 0,
    /** Minor units, of all pieces. */
    price: line && item ? askPieces([line], item) : null,
    answer,
    failure,
    isRead,
    setRead,
    isBusy,
    taken,
    queue,
    choose: (id: number) => {
      next();
      setPiece(startPiece(items.find((one) => one.id === id)!));
    },
    change,
    take,
    next,
  };
}

/** Asked anew whenever the piece changes. */
function useAnswer(line: object | null, setFailure: (words: string | null) => void) {
  const [answer, setAnswer] = useState<StallAnswer | null>(null);
  useLatest(
    line && JSON.stringify(line),
    PAUSE_MS,
    async (signal) => {
      try {
        return { answer: await callApi<StallAnswer>('POST', '/api/stall/ask', line, signal), failure: null };
      } catch (error) {
        if (signal.aborted) throw error;
        return { answer: null, failure: wordsOf(error) };
      }
    },
    (next) => {
      setAnswer(next.answer);
      setFailure(next.failure);
    },
  );
  return { answer, setAnswer };
}

function toLine({ texts, customerName: _customerName, ...piece }: StallPiece, item: OrderableItem) {
  const asked = listTexts(item, piece.options).map(({ label }) => label);
  return {
    ...piece,
    texts: asked.flatMap((label) => {
      const text = texts[label] ?? '';
      return text.trim() === '' ? [] : [{ label, text, given: text }];
    }),
  };
}
