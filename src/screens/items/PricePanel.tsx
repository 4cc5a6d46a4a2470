// What to ask: where the price goes, the rule to drag it along, and what it leaves.

import { useMemo } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import type { ItemCost } from '../../core/costing';
import type { ShopFigures } from '../../core/materials';
import { DISCOUNTS, readDiscount, readSet, SET_SIZES, type PriceReading } from '../../core/pricing';
import { formatShare, minor, type Minor } from '../../core/units';
import { describePriceProblem } from '../../wording/problems';
import { CostStrip } from '../shared/CostStrip';
import { MoneyField } from '../shared/number-fields';
import { PriceRule } from '../shared/PriceRule';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import type { ItemForm } from './item-form';
import { markPrices } from './price-marks';
import { ProposedPrices } from './ProposedPrices';

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
  const { floor, margin, wage, marks } = useMemo(
    () => markPrices(cost, figures, othersAsk, settings),
    [cost, figures, othersAsk, settings],
  );
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
      <ProposedPrices marks={marks} price={price} onPrice={onPrice} />
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
