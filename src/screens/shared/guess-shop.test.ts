import { describe, expect, it } from 'vitest';
import { shopInput } from '../../core/input';
import { DEFAULT_SHOP_FIGURES } from '../../core/materials';
import { guessShop } from './guess-shop';

describe('a new shop, by its browser', () => {
  it.each([
    ['de-AT', 'EUR', 'metric'],
    ['de-CH', 'CHF', 'metric'],
    ['en-US', 'USD', 'inch'],
    ['en-GB', 'GBP', 'metric'],
    ['ja', 'JPY', 'metric'],
    ['hu-HU', 'HUF', 'metric'],
    ['pt-BR', 'BRL', 'metric'],
    ['sv', 'SEK', 'metric'],
  ])('%s counts in %s, %s', (language, currency, system) => {
    const guessed = guessShop(language, 'Europe/Vienna');
    expect(guessed).toEqual({ locale: language, currency, system, timeZone: 'Europe/Vienna' });
    const shop = { name: 'New', ...guessed, figures: DEFAULT_SHOP_FIGURES };
    expect(shopInput.isValidSync(shop)).toBe(true);
  });

  it('keeps to something that works where the browser says nothing', () =>
    expect(guessShop('', 'UTC')).toMatchObject({ locale: 'en-GB', currency: 'GBP' }));
});
