// Every size of the blank side by side, with and without each option: what it costs, is asked, and leaves.

import type { ReactNode } from 'react';
import type { ItemPlan } from '../../core/costing';
import type { BlankView } from '../../views/shelf';
import { Why } from '../shared/Why';
import { calculateItem, type CalculateInput } from './calculate-item';
import { NumberHead } from '../shared/NumberHead';
import { Swatch } from '../shared/Swatch';

type Props = {
  readonly input: CalculateInput;
  readonly plan: ItemPlan;
  readonly blank: BlankView;
  readonly wage: number;
};

export default function VariantTable({ input, plan, blank, wage }: Props) {
  const { sizeName, colourName } = plan;
  const rows: { readonly key: string; readonly label: ReactNode; readonly variant: CalculateInput['variant'] }[] = [
    ...blank.sizes.map((size) => ({
      key: `size ${size.name}`,
      label: size.name,
      variant: { sizeName: size.name, colourName, options: [] },
    })),
    ...blank.colours
      .filter(
        (colour) => colour.name !== colourName && plan.details.variants.some((rule) => rule.colourName === colour.name),
      )
      .map((colour) => ({
        key: `colour ${colour.name}`,
        label: (
          <>
            <Swatch colour={colour.hex} />
            {colour.name}
          </>
        ),
        variant: { sizeName, colourName: colour.name, options: [] },
      })),
    ...plan.details.options.map((option, at) => ({
      key: `option ${at}`,
      label: `with ${option.label}`,
      variant: { sizeName, colourName, options: [at] },
    })),
  ];
  if (rows.length < 2) return null;
  return <VariantRows rows={rows} input={input} plan={plan} sizeName={sizeName} colourName={colourName} wage={wage} />;
}

type VariantRowsProps = {
  readonly rows: { readonly key: string; readonly label: ReactNode; readonly variant: CalculateInput['variant'] }[];
  readonly input: CalculateInput;
  readonly plan: ItemPlan;
  readonly sizeName: string;
  readonly colourName: string;
  readonly wage: number;
};

function VariantRows({ rows, input, plan, sizeName, colourName, wage }: VariantRowsProps) {
  return (
    <section className="sheet flush" aria-label="Sizes, colours, options">
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">variant</th>
            <NumberHead>cash</NumberHead>
            <NumberHead>with risk</NumberHead>
            <NumberHead>your time</NumberHead>
            <NumberHead>price</NumberHead>
            <NumberHead>an hour earns</NumberHead>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ key, label, variant }) => {
            const calculated = calculateItem({ ...input, plan, variant });
            return (
              <tr
                key={key}
                className={
                  variant.sizeName === sizeName && variant.colourName === colourName && variant.options.length === 0
                    ? 'own'
                    : ''
                }
              >
                <td>{label}</td>
                {calculated.ok ? (
                  <>
                    <td className="num">
                      <Why figure={calculated.cost.cash} />
                    </td>
                    <td className="num">
                      <Why figure={calculated.cost.withRisk} />
                    </td>
                    <td className="num">
                      <Why figure={calculated.cost.handsSeconds} />
                    </td>
                    <td className="num">
                      <Why figure={calculated.reading.price} />
                    </td>
                    <td
                      className={`num ${calculated.reading.hourEarns && calculated.reading.hourEarns.value < wage ? 'short' : ''}`}
                    >
                      {calculated.reading.hourEarns ? <Why figure={calculated.reading.hourEarns} /> : '–'}
                    </td>
                  </>
                ) : (
                  <td colSpan={5} className="short">
                    {calculated.problem}
                  </td>
                )}
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
