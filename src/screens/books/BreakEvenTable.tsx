// When a start has come back: if it goes slowly, as expected, or well.

import { formatMoney, formatShare } from '../../core/units';
import { useSettings } from '../shared/settings';
import { WhenSeen } from '../shared/WhenSeen';
import { Why } from '../shared/Why';
import { WEEKS_SHOWN, type StartPlanState } from './use-start-plan';
import { NumberHead } from '../shared/NumberHead';
import { late } from '../shared/late';

const CashChart = late(() => import('./CashChart'));

export function BreakEvenTable({ outcomes }: Pick<StartPlanState, 'outcomes'>) {
  const settings = useSettings();
  return (
    <section className="sheet flush" aria-label="When it has come back">
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">if it goes</th>
            <NumberHead>a week leaves</NumberHead>
            <NumberHead>pieces</NumberHead>
            <NumberHead>weeks</NumberHead>
            <NumberHead>after {WEEKS_SHOWN} weeks</NumberHead>
          </tr>
        </thead>
        <tbody>
          {outcomes.map(({ scenario, outcome }) => (
            <tr key={scenario.name} className={scenario.name === 'expected' ? 'own' : ''}>
              <td>
                {scenario.name}{' '}
                <span className="soft">
                  {formatShare(scenario.sales, settings, 0)} of the sales
                  {scenario.costs !== 1 && `, costs ${formatShare(scenario.costs, settings, 0)}`}
                  {outcome.reach.value < 1 && (
                    <>
                      ; your hours allow <Why figure={outcome.reach} />
                    </>
                  )}
                </span>
              </td>
              <td className="num">
                <Why figure={outcome.perWeek} />
              </td>
              <td className="num">{outcome.pieces ? <Why figure={outcome.pieces} /> : 'never'}</td>
              <td className="num">{outcome.weeks ? <Why figure={outcome.weeks} /> : 'never'}</td>
              <td className={`num ${(outcome.cash.at(-1) ?? 0) < 0 ? 'short' : ''}`}>
                {formatMoney(outcome.cash.at(-1) ?? 0, settings)}
              </td>
            </tr>
          ))}
          {outcomes.length === 0 && (
            <tr>
              <td colSpan={5} className="soft">
                Choose a kit and say what is sold.
              </td>
            </tr>
          )}
        </tbody>
      </table>
      {outcomes.length > 0 && (
        <WhenSeen>
          <CashChart outcomes={outcomes} />
        </WhenSeen>
      )}
      <p className="soft flat pad-top-2 pad-right-4 pad-bottom-4 pad-left-4">
        Your hours are not paid from this: it is what stays in the purse after fees, materials and what goes wrong.
      </p>
    </section>
  );
}
