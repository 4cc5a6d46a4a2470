import { expect, it } from 'vitest';
import { minor } from '../core/units';
import { addUpKit, computeBreakEven, computeContribution } from '../core/planning';
import { PLAIN_ITEM, PLAIN_SHOP } from '../../test/worked-example';
import { computeItemCost, explainChange, toAcceptedCost } from '../core/costing';
import { describeCauses } from './cost-change';
import { describeOneMore, describeStart } from './start';
import { describeCheaperFrom, describeMat, describeTool } from './worth-it';

const settings = { locale: 'en-GB', currency: 'EUR', timeZone: 'UTC', system: 'metric' } as const;
const cost = computeItemCost(PLAIN_ITEM, 10, PLAIN_SHOP);
if (!cost.ok) throw new Error(cost.problem.kind);
const contribution = (perWeek: number) =>
  computeContribution([{ name: 'Towel', cost: cost.value, price: minor(1077), perWeek }], PLAIN_SHOP)!;
const kit = addUpKit(
  [{ name: 'All', price: minor(50_000), used: false, grade: 2, covers: ['cutter'] }],
  [0],
  minor(60_000),
);
const outcome = (perWeek: number, hoursPerWeek = 10) =>
  computeBreakEven({ spent: kit.total, contribution: contribution(perWeek), hoursPerWeek, weeks: 0 });

it('a start is told in one sentence, whatever stands in its way', () => {
  const tell = (part: Partial<Parameters<typeof describeStart>[0]>) =>
    describeStart({ kit, uncovered: [], outcome: outcome(10), cap: 60_000, ...part }, settings);
  expect(tell({})).toBe('A kit for 500.00 has come back after 98 pieces, 10 weeks at your hours');
  expect(tell({ kit: null })).toMatch(/^Within 600\.00 no kit brings all that is needed/);
  expect(tell({ uncovered: ['press', 'tools'] })).toBe(
    'A kit for 500.00 is not whole yet: press and tools are missing',
  );
  expect(
    tell({
      kit: addUpKit(
        [{ name: 'All', price: minor(50_000), used: false, grade: 2, covers: ['cutter'] }],
        [0],
        minor(40_000),
      ),
    }),
  ).toBe('A kit for 500.00 is 100.00 over the budget');
  expect(tell({ outcome: null })).toMatch(/leaves 100\.00 for blanks and vinyl; say what is sold/);
  expect(tell({ outcome: { ...outcome(10), pieces: null, weeks: null } })).toMatch(/never comes back/);
});

it('one more sale a week is told by what it leaves, or that the hours are full', () => {
  expect(describeOneMore(outcome(30), outcome(31), settings)).toBe('One more sale a week leaves 5.12 more each week.');
  expect(describeOneMore(outcome(5), outcome(6), settings)).toBe(
    'One more sale a week leaves 5.12 more each week, and it has come back 3 weeks sooner.',
  );
  expect(describeOneMore(outcome(100, 1), outcome(101, 1), settings)).toMatch(/your hours are full/);
  expect(describeOneMore({ ...outcome(5), weeks: null }, outcome(6), settings)).toBeNull();
});

it('what moved a cost is named with what it was', () => {
  const dearer = computeItemCost(PLAIN_ITEM, 10, { ...PLAIN_SHOP, wagePerHour: 2400, packaging: 70, tapePerM2: 900 });
  const change = explainChange(toAcceptedCost(cost.value, 1), dearer.ok ? dearer.value : cost.value)!;
  expect(describeCauses(change, settings)).toBe(
    'because: Your hour 18.00 / h, now 24.00 / h; Packaging for each piece 0.50, now 0.70.',
  );
  expect(
    describeCauses(
      {
        ...change,
        because: [
          { label: 'Ribbon', was: null, now: 15, unit: 'money' },
          { label: 'Card', was: 8, now: null, unit: 'money' },
        ],
      },
      settings,
    ),
  ).toBe('because: Ribbon is new, 0.15; Card is gone.');
  expect(describeCauses({ ...change, because: [] }, settings)).toMatch(/^because: .+, now /);
});

it.each([
  [describeCheaperFrom('Roll', 'Sheets', 85, null), 'From 85 pieces on Roll beats Sheets.'],
  [describeCheaperFrom('Roll', 'Sheets', 1, null), 'Roll is cheaper to buy for any number.'],
  [describeCheaperFrom('Roll', 'Sheets', null, 1), 'Sheets is cheaper to buy for any number.'],
  [
    describeCheaperFrom('Roll', 'Sheets', null, null),
    'Neither Roll nor Sheets stays the cheaper: it turns with every pack.',
  ],
  [describeTool(1, null), 'The tool has paid for itself after 1 piece.'],
  [describeTool(null, 40), 'Don’t buy it for this: it is worn out after 40 pieces, before it has paid for itself.'],
  [describeTool(null, null), 'The tool saves nothing: don’t buy it for this.'],
  [describeMat(true, 6, 3), 'Cut 6 without a mat.'],
  [describeMat(false, 1, 3), 'Keep the mat for 1; without it it is cheaper from 3 at once.'],
  [describeMat(false, 1, null), 'Keep the mat: without it the vinyl costs more at any number.'],
])('%s', (said, expected) => expect(said).toBe(expected));
