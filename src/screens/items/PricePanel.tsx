// What to ask: where the price goes, the rule to drag it along, and what it leaves.

import type { UseFormReturn } from 'react-hook-form';
import type { ItemCost } from '../../core/costing';
import type { ShopFigures } from '../../core/materials';
import {
  computeFloor,
  DISCOUNTS,
  priceForMargin,
  priceForMarkup,
  priceForWage,
  readDiscount,
  readSet,
  SET_SIZES,
  type PriceReading,
} from '../../core/pricing';
import { figure, formatShare, minor, type Minor } from '../../core/units';
import { describePriceProblem } from '../../wording/problems';
import { CostStrip } from '../shared/CostStrip';
import { MoneyField } from '../shared/number-fields';
import { PriceRule, type RuleMark } from '../shared/PriceRule';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import type { ItemForm } from './item-form';

type Props = {
  readonly cost: ItemCost;
  readonly reading: PriceReading;
  readonly price: number;
  readonly othersAsk: Minor | null;
  readonly figures: ShopFigures;
  readonly onPrice: (price: number) => void;
  readonly form: UseFormReturn<ItemForm>;
};

export function PricePanel({ cost, reading, price, othersAsk, figures, onPrice, form }: Props) {
  const settings = useSettings();
  const floor = computeFloor(cost, figures);
  const margin = priceForMargin(figures.marginGoal, cost, figures);
  const markup = priceForMarkup(figures.markupGoal, cost, figures);
  const wage = priceForWage(figures.wageGoalPerHour, cost, figures);
  const marks: RuleMark[] = [
    { label: 'cash', figure: cost.cash, tone: 'soft' },
    { label: 'full', figure: cost.full, tone: 'soft' },
    { label: 'with risk', figure: cost.withRisk, tone: 'bad' },
    ...(floor.ok ? [{ label: 'floor', figure: floor.value, tone: 'bad' } as const] : []),
    ...(wage.ok ? [{ label: 'wage goal', figure: wage.value, tone: 'good' } as const] : []),
    ...(markup.ok
      ? [
          {
            label: `markup ${formatShare(figures.markupGoal, settings, 0)}`,
            figure: markup.value,
            tone: 'info',
          } as const,
        ]
      : []),
    ...(othersAsk === null
      ? []
      : [
          {
            label: 'a shop asks',
            figure: figure('A shop asks for the like', othersAsk, 'money', 'typed'),
            tone: 'soft',
          } as const,
        ]),
    ...(margin.ok
      ? [
          {
            label: `margin ${formatShare(figures.marginGoal, settings, 0)}`,
            figure: margin.value,
            tone: 'info',
          } as const,
        ]
      : []),
  ];
  const refusal = [floor, margin, wage].find((result) => !result.ok);
  return (
    <section className="sheet" aria-label="What to ask">
      <CostStrip cost={cost} reading={reading} />
      <div className="grid gap-5 middle field-aside">
        <PriceRule price={price} floor={floor.ok ? floor.value.value : null} marks={marks} onChange={onPrice} />
        <div className="cols gap-4">
          <MoneyField form={form} name="price" label="Price each" />
          <MoneyField form={form} name="details.othersAsk" label="A shop asks" />
        </div>
      </div>
      {refusal && !refusal.ok && (
        <p className="short flat above-3">{describePriceProblem(refusal.problem, settings)}</p>
      )}
      <div className="readings above-3">
        <span>
          margin <b>{reading.margin ? <Why figure={reading.margin} /> : '–'}</b>
        </span>
        <span>
          markup <b>{reading.markup ? <Why figure={reading.markup} /> : '–'}</b>
        </span>
        <span>
          an hour earns <b>{reading.hourEarns ? <Why figure={reading.hourEarns} /> : '–'}</b>
        </span>
        <span>
          yours{' '}
          <b>
            <Why figure={reading.yours} />
          </b>
        </span>
        {floor.ok && price < floor.value.value && <span className="short">below the floor you pay to work</span>}
      </div>
      {price > 0 && (
        <div className="readings soft above-2" role="group" aria-label="Discounts">
          {DISCOUNTS.map((share) => {
            const { price: left, hourEarns, belowFloor } = readDiscount(share, minor(price), cost, figures);
            return (
              <span key={share} className={belowFloor ? 'short' : ''}>
                {formatShare(share, settings, 0)} off: <Why figure={left} />
                {hourEarns && (
                  <>
                    {' '}
                    leaves <Why figure={hourEarns} />
                  </>
                )}
              </span>
            );
          })}
        </div>
      )}
      {price > 0 && <SetsAndRush price={minor(price)} cost={cost} figures={figures} />}
    </section>
  );
}

function SetsAndRush({ price, cost, figures }: { price: Minor; cost: ItemCost; figures: ShopFigures }) {
  const settings = useSettings();
  const rush = readDiscount(-figures.rushShare, price, cost, figures);
  return (
    <div className="readings soft above-2" role="group" aria-label="Rush and sets">
      <span>
        rush, {formatShare(figures.rushShare, settings, 0)} more: <Why figure={rush.price} />
        {rush.hourEarns && (
          <>
            {' '}
            leaves <Why figure={rush.hourEarns} />
          </>
        )}
      </span>
      {SET_SIZES.map((count) => {
        const set = readSet(count, figures.setShare, price, cost, figures);
        return (
          <span key={count} className={set.belowFloor ? 'short' : ''}>
            set of {count}: <Why figure={set.price} />
            {set.hourEarns && (
              <>
                {' '}
                leaves <Why figure={set.hourEarns} />
              </>
            )}
          </span>
        );
      })}
    </div>
  );
}
