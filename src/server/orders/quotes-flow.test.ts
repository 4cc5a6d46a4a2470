import { describe, expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { readPdfPages } from '../../../test/read-pdf';
import { addDays } from '../../core/scheduling/index';
import { dayOf } from '../../core/units/index';
import { getShop } from '../context';
import { changeShop } from '../shop/change-shop';
import { printQuote, writeQuoteText } from '../paper/quote';
import { archiveQuote, askQuote, saveQuote, loadQuoteStart, requireQuote } from './quick-quote';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const settings = { locale: 'en-GB', currency: 'EUR', timeZone: 'UTC', system: 'metric' } as const;
const idOf = (name: string) => loadQuoteStart(shop).items.find((item) => item.name === name)!.id;
const towels = (part: object = {}) => ({
  itemId: idOf('Honeycomb tea towel'),
  sizeName: 'one size',
  colourName: 'natural',
  quantity: 4,
  each: null,
  customerName: '',
  ...part,
});

describe('a quick quote', () => {
  it('asks the item’s price, says what one costs at that number, and when it can be ready after what waits', () => {
    const answer = askQuote(shop, towels());
    expect(answer.total.value).toBe(4 * 2600);
    expect(askQuote(shop, towels({ quantity: 40 })).cost.value).toBeLessThan(answer.cost.value);
    expect(askQuote(shop, towels({ each: 1 })).hourEarns!.value).toBeLessThan(0);
    const today = dayOf(shop.now(), getShop(shop).timeZone);
    expect(answer.ready!.day > today).toBe(true);
    const [waiting, own] = answer.ready!.working.parts!;
    expect(answer.ready!.working.value).toBeGreaterThanOrEqual(waiting!.value + own!.value);
  });

  it('waits for what has to be bought, and names what nobody offers', () => {
    const apron = askQuote(shop, { ...towels(), itemId: idOf('Bakery apron'), colourName: 'brick', quantity: 2 });
    expect(apron.toBuy).toContainEqual({ name: 'Bib apron, heavy cotton, one size, brick', days: 1 });
    expect(apron.ready!.day >= addDays(dayOf(shop.now(), 'UTC'), 1)).toBe(true);
    const tin = askQuote(shop, {
      ...towels(),
      itemId: idOf('Seed tin, labelled'),
      sizeName: 'quarter litre',
      colourName: 'cream',
      quantity: 2,
    });
    expect(tin.toBuy).toContainEqual({ name: 'Seed tin, quarter litre, cream', days: null });
  });

  it('is saved as it was given: wages and prices change, the quote does not, and says what would', async () => {
    const { id } = saveQuote(shop, towels({ each: 2800, customerName: 'Lakeside Gift Room' }));
    const [saved] = loadQuoteStart(shop).quotes;
    expect(saved).toMatchObject({ id, drift: null, facts: { each: 2800, total: 11_200, quantity: 4 } });
    expect(saved!.facts.lines.reduce((sum, line) => sum + line.total, 0)).toBe(saved!.facts.costEach);
    const { figures, ...identity } = getShop(shop);
    changeShop(shop, { ...identity, figures: { ...figures, wagePerHour: figures.wagePerHour * 2 } }, identity.version);
    const [after] = loadQuoteStart(shop).quotes;
    expect(after!.facts).toEqual(saved!.facts);
    expect(after!.drift!.was).toBe(saved!.facts.costEach);
    expect(after!.drift!.now.value).toBeGreaterThan(saved!.facts.costEach);
    expect(after!.drift!.because[0]!.label).toMatch(/^Weed/);
    expect(writeQuoteText(requireQuote(shop, id), 'Heron & Hitch', settings)).toMatch(
      /^Good day Lakeside Gift Room,\n\n4 × Honeycomb tea towel \(Tea towel, cotton, one size, natural\): 28\.00 each, 112\.00 in total \(EUR\)\.\nReady on /,
    );
    const [page] = await readPdfPages(await printQuote(requireQuote(shop, id), 'Heron & Hitch', settings));
    expect(page).toMatch(/Honeycomb tea towel.*112\.00/s);
    // What it costs is nobody's business.
    expect(page).not.toContain((saved!.facts.costEach / 100).toFixed(2));
    archiveQuote(shop, id, true);
    expect(loadQuoteStart(shop).quotes).toEqual([]);
    archiveQuote(shop, id, false);
    expect(loadQuoteStart(shop).quotes).toHaveLength(1);
  });

  it('of what does not exist is refused at its field', async () => {
    expect((await refusalOf(() => askQuote(shop, towels({ colourName: 'pink' })))).field).toBe('colourName');
    expect((await refusalOf(() => askQuote(shop, towels({ sizeName: 'XXL' })))).field).toBe('sizeName');
    expect((await refusalOf(() => askQuote(shop, towels({ itemId: 999 })))).code).toBe('not-found');
  });
});
