// The one line of a shop's first start: its money, numbers and clock as the browser has them, to be confirmed.

import Button from '@mui/material/Button';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { formatMoney, formatTimeOfDay, fromMajor } from '../../core/units';
import type { ShopView } from '../../views/frame';
import { callApi, wordsOf } from './api';
import { guessShop, type GuessedShop } from './guess-shop';
import { setCookie, useSettings } from './settings';

const EXAMPLE = 1234.5;

export function FirstStart({ shop, nowMs }: { readonly shop: ShopView; readonly nowMs: number }) {
  const [guess, setGuess] = useState<GuessedShop | null>(null);
  const { system: cookieSystem } = useSettings();
  // Only the browser knows: the server has no language of its own. Until then the line takes its place unseen, so that
  // nothing below it moves away under a finger.
  useEffect(() => setGuess(guessShop(navigator.language, Intl.DateTimeFormat().resolvedOptions().timeZone)), []);
  const confirm = useMutation({
    mutationFn: async ({ next }: { readonly next: string }) => {
      const { currency, locale, timeZone, system } = guessed;
      setCookie('units', system);
      const { name, figures, version } = shop;
      await callApi('PUT', '/api/shop', { name, currency, locale, timeZone, figures, version });
      location.assign(next);
    },
  });
  const guessed = guess ?? { ...shop, system: cookieSystem };
  const { currency, timeZone, system } = guessed;
  const isWaiting = guess === null || confirm.isPending;
  return (
    <section className="first-start" aria-label="First start">
      <span className={guess ? undefined : 'unseen'}>
        Money in <strong>{currency}</strong>, such as{' '}
        <span className="figures">{formatMoney(fromMajor(EXAMPLE, currency), guessed)}</span>; it is{' '}
        <span className="figures">{formatTimeOfDay(nowMs, guessed)}</span> in {timeZone};{' '}
        {system === 'metric' ? 'mm and °C' : 'inches and °F'}.
      </span>
      <span className="actions">
        <Button
          variant="contained"
          size="small"
          disabled={isWaiting}
          onClick={() => confirm.mutate({ next: location.href })}
        >
          That is right
        </Button>
        <Button size="small" disabled={isWaiting} onClick={() => confirm.mutate({ next: '/shop' })}>
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
