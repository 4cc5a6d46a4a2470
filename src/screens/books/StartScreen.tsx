// Books, the start: a kit under a cap, and when it has come back.

import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { enqueueSnackbar } from 'notistack';
import { lazy, Suspense, useMemo, useState } from 'react';
import {
  addOneSale,
  addUpKit,
  bendContribution,
  chooseKit,
  computeBreakEven,
  computeContribution,
  KIT_NEEDS,
  listUncovered,
  SCENARIOS,
  type KitNeed,
  type MixItem,
  type StartPlan,
} from '../../core/planning';
import { formatMoney, formatShare, minor } from '../../core/units';
import type { FrameView } from '../../views/frame';
import type { StartView } from '../../views/start-plan';
import { describeOneMore, describeStart } from '../../wording/start';
import { callApi, wordsOf } from '../shared/api';
import { Frame } from '../shared/Frame';
import { MoneyInput } from '../shared/MoneyInput';
import { NumberInput } from '../shared/NumberInput';
import { useSettings } from '../shared/settings';
import { useMounted } from '../shared/use-mounted';
import { Why } from '../shared/Why';
import { BooksTabs } from './BooksTabs';
import { KitTable } from './KitTable';

const CashChart = lazy(() => import('./CashChart'));
const WEEKS_SHOWN = 26;

export function StartScreen({ frame, view }: { frame: FrameView; view: StartView }) {
  return (
    <Frame frame={frame} current="books">
      <BooksTabs current="/books/start" />
      <Start view={view} />
    </Frame>
  );
}

function Start({ view }: { view: StartView }) {
  const settings = useSettings();
  const mounted = useMounted();
  const [plan, setPlan] = useState(view.plan);
  const [saved, setSaved] = useState({ plan: view.plan, version: view.version });
  const change = (part: Partial<StartPlan>) => setPlan((before) => ({ ...before, ...part }));
  const kit = useMemo(
    () => (plan.chosen ? addUpKit(plan.options, plan.chosen, plan.cap) : chooseKit(plan, 'grade')),
    [plan],
  );
  const cheapest = useMemo(() => chooseKit({ ...plan, cap: minor(100_000_000) }, 'price'), [plan]);
  const mix = useMemo(
    () =>
      plan.mix.flatMap(({ itemId, perWeek }): MixItem[] => {
        const item = view.items.find((candidate) => candidate.id === itemId);
        return item ? [{ ...item, perWeek }] : [];
      }),
    [plan.mix, view.items],
  );
  const contribution = useMemo(() => computeContribution(mix, settings.shop.figures), [mix, settings.shop.figures]);
  const outcomes = useMemo(
    () =>
      kit && contribution
        ? SCENARIOS.map((scenario) => ({
            scenario,
            outcome: computeBreakEven({
              spent: kit.total,
              contribution: bendContribution(contribution, mix, scenario),
              hoursPerWeek: plan.hoursPerWeek,
              weeks: WEEKS_SHOWN,
            }),
          }))
        : [],
    [kit, contribution, mix, plan.hoursPerWeek],
  );
  const expected = outcomes.find(({ scenario }) => scenario.name === 'expected')?.outcome ?? null;
  const more =
    kit && contribution && expected
      ? describeOneMore(
          expected,
          computeBreakEven({
            spent: kit.total,
            contribution: addOneSale(contribution),
            hoursPerWeek: plan.hoursPerWeek,
            weeks: 0,
          }),
          settings,
        )
      : null;
  const save = async () => {
    try {
      const { version } = await callApi<{ version: number }>('PUT', '/api/plan', { ...plan, version: saved.version });
      setSaved({ plan, version });
      enqueueSnackbar('The plan is saved.');
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
    }
  };
  return (
    <>
      <div className="page-head">
        <div>
          <h1 aria-live="polite" className="flat">
            {describeStart(
              { kit, uncovered: kit ? listUncovered(plan, kit.chosen) : [], outcome: expected, cap: plan.cap },
              settings,
            )}
          </h1>
          {more && <p className="soft flat above-1 text-large">{more}</p>}
        </div>
        <div className="actions">
          <Button variant="contained" disabled={plan === saved.plan} onClick={() => void save()}>
            Keep the plan
          </Button>
        </div>
      </div>
      <div className="cols split-5-4">
        <div className="cols">
          <section className="sheet fields" aria-label="What it has to do">
            <MoneyInput shown label="Cap" value={plan.cap} onChange={(cap) => change({ cap: minor(cap) })} />
            <MoneyInput
              shown
              label="To be left over"
              value={plan.reserve}
              onChange={(reserve) => change({ reserve: minor(reserve) })}
            />
            <TextField
              select
              label="Needed"
              value={[...plan.needs]}
              onChange={(event) => {
                const needs = event.target.value as unknown as KitNeed[];
                if (needs.length > 0) change({ needs });
              }}
              slotProps={{ select: { multiple: true } }}
            >
              {KIT_NEEDS.map((need) => (
                <MenuItem key={need} value={need}>
                  {need}
                </MenuItem>
              ))}
            </TextField>
            <div className="readings whole-row">
              {kit && (
                <span>
                  kit{' '}
                  <b>
                    <Why figure={kit.total} />
                  </b>
                </span>
              )}
              {kit && (
                <span className={kit.left.value < 0 ? 'short' : ''}>
                  left for blanks and vinyl{' '}
                  <b>
                    <Why figure={kit.left} />
                  </b>
                </span>
              )}
              {cheapest && (
                <span>
                  the cheapest that does{' '}
                  <b>
                    <Why figure={cheapest.total} />
                  </b>{' '}
                  <Button size="small" variant="text" onClick={() => change({ chosen: cheapest.chosen })}>
                    take it
                  </Button>
                </span>
              )}
              {plan.chosen && (
                <Button size="small" variant="text" onClick={() => change({ chosen: null })}>
                  Propose the best under the cap
                </Button>
              )}
            </div>
          </section>
          <KitTable plan={plan} chosen={kit?.chosen ?? []} onChange={change} />
        </div>
        <div className="cols">
          <section className="sheet flush" aria-label="What is sold">
            <table className="plain">
              <thead>
                <tr>
                  <th scope="col">sold in a week</th>
                  <th className="right" scope="col">
                    pieces
                  </th>
                </tr>
              </thead>
              <tbody>
                {view.items.map((item) => (
                  <tr key={item.id}>
                    <td>
                      <a href={`/items/${item.id}`}>{item.name}</a>{' '}
                      <span className="soft">at {formatMoney(item.price, settings)}</span>
                    </td>
                    <td className="count-column">
                      <NumberInput
                        label={`${item.name}, a week`}
                        value={plan.mix.find((entry) => entry.itemId === item.id)?.perWeek ?? 0}
                        onChange={(perWeek) =>
                          change({
                            mix: [
                              ...plan.mix.filter((entry) => entry.itemId !== item.id),
                              { itemId: item.id, perWeek },
                            ],
                          })
                        }
                      />
                    </td>
                  </tr>
                ))}
                {view.items.length === 0 && (
                  <tr>
                    <td colSpan={2} className="soft">
                      Nothing to sell yet. <a href="/items/new">Reckon an item</a>
                    </td>
                  </tr>
                )}
              </tbody>
            </table>
            <div className="fields pad-top-4 pad-right-4 pad-bottom-4 pad-left-4 middle label-field">
              <NumberInput
                shown
                label="Hours a week"
                value={plan.hoursPerWeek}
                least={0.5}
                onChange={(hoursPerWeek) => change({ hoursPerWeek })}
              />
              {contribution && (
                <div className="readings">
                  <span>
                    needs{' '}
                    <b>
                      <Why figure={contribution.hoursPerWeek} />
                    </b>
                  </span>
                  <span>
                    a piece leaves{' '}
                    <b>
                      <Why figure={contribution.each} />
                    </b>
                  </span>
                  <span>
                    a week{' '}
                    <b>
                      <Why figure={contribution.perWeek} />
                    </b>
                  </span>
                </div>
              )}
            </div>
          </section>
          <section className="sheet flush" aria-label="When it has come back">
            <table className="plain">
              <thead>
                <tr>
                  <th scope="col">if it goes</th>
                  <th className="right" scope="col">
                    a week leaves
                  </th>
                  <th className="right" scope="col">
                    pieces
                  </th>
                  <th className="right" scope="col">
                    weeks
                  </th>
                  <th className="right" scope="col">
                    after {WEEKS_SHOWN} weeks
                  </th>
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
            {mounted && outcomes.length > 0 && (
              <Suspense>
                <CashChart outcomes={outcomes} />
              </Suspense>
            )}
            <p className="soft flat pad-top-2 pad-right-4 pad-bottom-4 pad-left-4">
              Your hours are not paid from this: it is what stays in the purse after fees, materials and what goes
              wrong.
            </p>
          </section>
        </div>
      </div>
    </>
  );
}
