import { expect, it } from 'vitest';
import { PLAIN_ITEM, PLAIN_SHOP, PLAIN_VINYL } from '../../test/worked-example';
import { compareVinyls } from '../core/costing/compare-vinyls';
import { minor } from '../core/units';
import { describeFlip, describeVerdict } from './compare';

const settings = { locale: 'en-GB', currency: 'EUR', timeZone: 'UTC', system: 'metric' } as const;
const input = { spec: PLAIN_ITEM, layerIndex: 0, widthMm: 100, quantity: 10, shop: PLAIN_SHOP };
const none = { made: 0, spoiled: 0 };
const DEAR = { ...PLAIN_VINYL, id: 2, name: 'Dear', rollPrice: minor(20_000) };
const ROUGH = {
  ...PLAIN_VINYL,
  id: 3,
  name: 'Rough',
  rollPrice: minor(500),
  details: { ...PLAIN_VINYL.details, grade: 'own use' },
} as const;

it('the verdict names the vinyl, by how much, how sure, and where it flips', () => {
  const compared = compareVinyls(input, [
    { vinyl: DEAR, evidence: none },
    { vinyl: PLAIN_VINYL, evidence: none },
  ]);
  expect(
    describeVerdict(
      compared,
      [0.1, 0.9],
      { over: 'wage', at: 650, beyond: 'Dear', side: 'above', away: 0.6 },
      settings,
    ),
  ).toEqual({
    heading: 'Use Plain: 0.33 cheaper than Dear.',
    because: 'Cheaper in 90 of 100 likely outcomes. Dear is cheaper once your hour is above 6.50.',
  });
});

it('what is cheaper but not fit is said, and not told to be used', () => {
  const compared = compareVinyls(input, [
    { vinyl: PLAIN_VINYL, evidence: none },
    { vinyl: ROUGH, evidence: none },
  ]);
  expect(describeVerdict(compared, null, null, settings)).toEqual({
    heading: 'Use Plain.',
    because: expect.stringMatching(
      /^Rough would be 0\.\d\d cheaper, but by your own grade for own use, not to sell\.$/,
    ) as string,
  });
});

it.each([
  [{ over: 'width', at: 117.2, beyond: 'Dear', side: 'above', away: 0.1 }, 'Dear is cheaper from 118 mm wide'],
  [{ over: 'width', at: 117.2, beyond: 'Dear', side: 'below', away: 0.1 }, 'Dear is cheaper up to 117 mm wide'],
  [
    { over: 'wage', at: 650, beyond: 'Dear', side: 'below', away: 0.6 },
    'Dear is cheaper while your hour is below 6.50',
  ],
  [{ over: 'quantity', at: 7.2, beyond: 'Dear', side: 'above', away: 0.1 }, 'Dear is cheaper from 8 at once'],
  [
    { over: 'failure', at: 0.123, beyond: 'Dear', side: 'above', away: 0.1 },
    'Dear is cheaper once more than 12.3 % of the other go wrong',
  ],
] as const)('a flip %j', (flip, words) => expect(describeFlip(flip, settings)).toBe(words));
