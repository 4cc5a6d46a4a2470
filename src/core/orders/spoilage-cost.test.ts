// What went wrong, in money: vinyl and blanks of what was spoiled, from the log or, where that says nothing, the quote.

import { describe, expect, it } from 'vitest';
import type { LineQuote } from './order';
import { SPOILAGE_CAUSES, type PartEvent, type SpoilageCause } from './part';
import { listSpoilage, sumByCause, sumSpoilage } from './spoilage-cost';

const QUOTE = { blankPrice: 450, layers: [{ vinylCost: 30 }, { vinylCost: 70 }] } as unknown as LineQuote;
let last = 0;
const event = (kind: PartEvent['kind'], more: Partial<PartEvent> = {}): PartEvent =>
  ({ id: ++last, kind, undoes: null, blankLost: false, ...more }) as PartEvent;
const sum = (layerIndex: number, events: readonly PartEvent[]) =>
  sumSpoilage([{ quote: QUOTE, parts: [{ layerIndex, events }] }]);
const amounts = (...spoiled: Parameters<typeof sum>) => sum(...spoiled).parts!.map(({ value }) => value);

describe('what went wrong', () => {
  it('is nothing where nothing was spoiled', () => {
    expect(sum(0, [event('cut', { vinylCost: 12 }), event('weeded')]).value).toBe(0);
  });

  it('is the vinyl of the cut that was spoiled, not of the one that came after', () => {
    const events = [event('cut', { vinylCost: 12 }), event('spoiled'), event('cut', { vinylCost: 99 })];
    expect(amounts(0, events)).toEqual([12, 0]);
    // Twice spoiled, each its own cut.
    expect(amounts(0, [...events, event('spoiled')])).toEqual([12 + 99, 0]);
  });

  it('is the quoted vinyl of its layer where the cut is not known, and none of a layer that is not quoted', () => {
    expect(amounts(1, [event('cut'), event('spoiled')])).toEqual([70, 0]);
    expect(amounts(0, [event('spoiled')])).toEqual([30, 0]);
    expect(amounts(5, [event('spoiled')])).toEqual([0, 0]);
  });

  it('is the blank too, where it was lost: what it cost by the log, else as quoted', () => {
    const pressed = event('pressed', { blankCost: 400 });
    expect(amounts(0, [event('cut'), pressed, event('spoiled', { blankLost: true })])).toEqual([30, 400]);
    expect(amounts(0, [pressed, event('spoiled', { blankLost: true, blankCost: 380 })])).toEqual([30, 380]);
    expect(amounts(0, [event('cut'), event('spoiled', { blankLost: true })])).toEqual([30, 450]);
    expect(amounts(0, [pressed, event('spoiled')])).toEqual([30, 0]);
  });

  it('leaves out what was taken back', () => {
    const spoiled = event('spoiled', { blankLost: true });
    expect(sum(0, [event('cut'), spoiled, event('undone', { undoes: spoiled.id })]).value).toBe(0);
  });

  it('adds up over parts and lines, rounded once for vinyl and once for blanks, and says of how many parts', () => {
    const part = () => ({
      layerIndex: 0,
      events: [event('cut', { vinylCost: 10.4 }), event('spoiled', { blankLost: true, blankCost: 100.4 })],
    });
    const figure = sumSpoilage([
      { quote: QUOTE, parts: [part(), part()] },
      { quote: QUOTE, parts: [part()] },
    ]);
    // 31.2 and 301.2.
    expect(figure.value).toBe(31 + 301);
    expect(figure.how).toMatch(/of 3 spoiled parts/);
    expect(sum(0, [event('spoiled')]).how).toMatch(/of 1 spoiled part;/);
  });
});

describe('of a part of which some letters are made anew', () => {
  const cut = (vinylCost: number) => event('cut', { vinylCost });
  const spoiled = (...bits: readonly number[]) => event('spoiled', { recut: { bits, of: 7 } });

  it('their share is lost, again and again', () => {
    expect(amounts(0, [cut(70), spoiled(2)])).toEqual([10, 0]);
    expect(amounts(0, [cut(70), spoiled(2, 3)])).toEqual([20, 0]);
    // The letter that was cut anew went wrong too: another 10, not a seventh of it.
    expect(amounts(0, [cut(70), spoiled(2), cut(10), spoiled(2)])).toEqual([10 + 10, 0]);
  });

  it('all of it is lost where the whole went wrong in the end', () => {
    expect(amounts(0, [cut(70), spoiled(2), cut(10), event('spoiled')])).toEqual([10 + 70, 0]);
    expect(amounts(0, [cut(70), spoiled(2), event('spoiled')])).toEqual([10 + 60, 0]);
  });

  it('what was cut of it and is not known costs its share of the quote', () => {
    expect(amounts(1, [event('cut'), spoiled(0), event('cut'), event('spoiled')])).toEqual([10 + 70, 0]);
  });
});

describe('by cause', () => {
  const names = Object.fromEntries(SPOILAGE_CAUSES.map((cause) => [cause, `it ${cause}`])) as Record<
    SpoilageCause,
    string
  >;
  const tell = (...parts: readonly (readonly PartEvent[])[]) =>
    sumByCause(listSpoilage([{ quote: QUOTE, parts: parts.map((events) => ({ layerIndex: 0, events })) }]), names);
  const lifted = (more: Partial<PartEvent> = {}) => [
    event('cut', { vinylCost: 10.4 }),
    event('spoiled', { cause: 'lifted', ...more }),
  ];

  it('is told the dearest first, with how many parts and blanks', () => {
    const scorched = event('spoiled', { cause: 'scorched', blankLost: true, blankCost: 380 });
    const { causes, whole } = tell(lifted(), lifted(), [event('cut', { vinylCost: 12 }), scorched]);
    expect(causes.map(({ cause, times, blanks }) => [cause, times, blanks])).toEqual([
      ['scorched', 1, 1],
      ['lifted', 2, 0],
    ]);
    expect(causes.map(({ lost: { label, value } }) => [label, value])).toEqual([
      ['it scorched', 12 + 380],
      ['it lifted', 21],
    ]);
    expect(whole).toMatchObject({ times: 3, blanks: 1, lost: { value: 392 + 21 } });
  });

  it('adds up to the cent, whatever was rounded', () => {
    const causes = ['lifted', 'weeding', 'crooked', 'cut'] as const;
    const told = tell(...causes.map((cause) => lifted({ cause })));
    expect(told.causes.map(({ lost }) => lost.value)).toEqual([10, 10, 10, 10]);
    expect(told.whole.lost.value).toBe(told.causes.reduce((sum, { lost }) => sum + lost.value, 0));
    expect(told.whole.lost.parts).toHaveLength(4);
  });

  it('is something else where nobody said what, and nothing where nothing went wrong', () => {
    expect(tell(lifted({ cause: null })).causes[0]!.cause).toBe('other');
    expect(tell([event('cut')])).toMatchObject({ causes: [], whole: { times: 0, lost: { value: 0 } } });
  });
});
