// The one line of a shop's first start: its money, numbers and clock as the browser has them, to be confirmed.

import Button from '@mui/material/Button';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { formatMoney, formatTimeOfDay, fromMajor } from '../../core/units';
import type { ShopView } from '../../views/frame';
import { callApi, wordsOf } from './api';
import { guessShop, type GuessedShop } from './guess-shop';
import { setCookie } from './settings';

const EXAMPLE = 1234.5;

export function FirstStart({ shop, nowMs }: { readonly shop: ShopView; readonly nowMs: number }) {
  const [guessed, setGuessed] = useState<GuessedShop | null>(null);
  // Only the browser knows: the server has no language of its own.
  useEffect(() => setGuessed(guessShop(navigator.language, Intl.DateTimeFormat().resolvedOptions().timeZone)), []);
  const confirm = useMutation({
    mutationFn: async ({ next }: { readonly next: string }) => {
      const { currency, locale, timeZone, system } = guessed!;
      setCookie('units', system);
      const { name, figures, version } = shop;
      await callApi('PUT', '/api/shop', { name, currency, locale, timeZone, figures, version });
      location.assign(next);
    },
  });
  if (!guessed) return null;
  const { currency, timeZone, system } = guessed;
  return (
    <section className="first-start" aria-label="First start">
      <span>
        Money in <strong>{currency}</strong>, such as{' '}
        <span className="figures">{formatMoney(fromMajor(EXAMPLE, currency), guessed)}</span>; it is{' '}
        <span className="figures">{formatTimeOfDay(nowMs, guessed)}</span> in {timeZone};{' '}
        {system === 'metric' ? 'mm and °C' : 'inches and °F'}.
      </span>
      <span className="actions">
        <Button
          variant="contained"
          size="small"
          disabled={confirm.isPending}
          onClick={() => confirm.mutate({ next: location.href })}
        >
          That is right
        </Button>
        <Button size="small" disabled={confirm.isPending} onClick={() => confirm.mutate({ next: '/shop' })}>
          Change it
        </Button>
      </span>
      {confirm.error && (
        <span role="alert" className="short">
          {wordsOf(confirm.error)}
        </span>
      )}
    </section>
  );
}
