// What a good piece costs in each candidate, line by line, and how sure that is.

import type { ReactNode } from 'react';
import type { CostStage } from '../../core/costing';
import type { Odds } from '../../core/costing/compare-odds';
import type { Compared } from '../../core/costing/compare-vinyls';
import { STAGE_LABELS, sumByStage } from '../../core/costing/stages';
import type { Comparison } from '../../core/planning';
import { formatShare } from '../../core/units';
import { describeUnfit } from '../../wording/compare';
import { describeCostProblem } from '../../wording/problems';
import { useSettings } from '../shared/settings';
import { Swatch } from '../shared/Swatch';
import { Why } from '../shared/Why';

type Props = { readonly comparison: Comparison; readonly odds: Odds | null };

export function CompareTable({ comparison: { compared, best }, odds }: Props) {
  const settings = useSettings();
  const row = (label: ReactNode, cell: (entry: Compared, index: number) => ReactNode, className = 'num') => (
    <tr>
      <th scope="row">{label}</th>
      {compared.map((entry, index) => (
        <td key={index} className={className}>
          {cell(entry, index)}
        </td>
      ))}
    </tr>
  );
  return (
    <section className="sheet flush" aria-label="Line by line" tabIndex={0}>
      <table className="plain compare">
        <thead>
          <tr>
            <th scope="col">a good piece</th>
            {compared.map(({ vinyl, name }, index) => (
              <th key={index} scope="col" className="right">
                <Swatch colour={vinyl.colourHex} />
                {name} {index === best && <span className="tag">cheapest</span>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {listStages(compared).map((stage) => (
            <StageRow key={stage} stage={stage} compared={compared} />
          ))}
          <TotalRow compared={compared} />
          {row('Your time', ({ cost }) => (cost.ok ? <Why figure={cost.value.handsSeconds} /> : '–'))}
          {row('Goes wrong', ({ belief }, index) => (
            <>
              <Why figure={belief.mean} />
              {odds && (
                <span className="soft block text-small">
                  {formatShare(odds.failure[index]!.low, settings)} to{' '}
                  {formatShare(odds.failure[index]!.high, settings)}
                </span>
              )}
            </>
          ))}
          {row('Chance that it is the cheapest', (_, index) =>
            odds ? formatShare(odds.cheapest[index]!, settings, 0) : '…',
          )}
          {row(
            'Fit for it',
            ({ unfit }) =>
              unfit.length === 0 ? (
                'yes'
              ) : (
                <span className="short">{unfit.map((entry) => describeUnfit(entry, settings)).join('; ')}</span>
              ),
            'right',
          )}
        </tbody>
      </table>
    </section>
  );
}

type TotalRowProps = {
  readonly compared: readonly Compared[];
};

function TotalRow({ compared }: TotalRowProps) {
  const settings = useSettings();
  return (
    <tr className="total">
      <th scope="row">Full cost with risk</th>
      {compared.map(({ cost }, index) => (
        <td key={index} className={cost.ok ? 'num' : 'right'}>
          {cost.ok ? (
            <strong>
              <Why figure={cost.value.withRisk} />
            </strong>
          ) : (
            <span className="short">{describeCostProblem(cost.problem, settings)}</span>
          )}
        </td>
      ))}
    </tr>
  );
}

function StageRow({ stage, compared }: { readonly stage: CostStage; readonly compared: readonly Compared[] }) {
  return (
    <tr>
      <th scope="row">{STAGE_LABELS[stage]}</th>
      {compared.map(({ cost }, index) => {
        const figure = cost.ok ? sumByStage(cost.value).get(stage) : undefined;
        return (
          <td key={index} className="num">
            {figure ? <Why figure={figure} /> : '–'}
          </td>
        );
      })}
    </tr>
  );
}

const listStages = (compared: readonly Compared[]): readonly CostStage[] => [
  ...new Set(compared.flatMap(({ cost }) => (cost.ok ? [...sumByStage(cost.value).keys()] : []))),
];
