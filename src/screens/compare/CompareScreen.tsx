// Compare: the same piece in two to four vinyls, line by line, how sure the answer is, and where it flips.

import Autocomplete from '@mui/material/Autocomplete';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { lazy, Suspense, useMemo, useState } from 'react';
import { STAGE_LABELS, sumByStage, type Odds } from '../../core/costing/compare-vinyls';
import type { CostStage } from '../../core/costing';
import { formatShare, parseNumber } from '../../core/units';
import type { CompareView } from '../../views/compare';
import type { FrameView } from '../../views/frame';
import { describeFlip, describeUnfit, describeVerdict } from '../../wording/compare';
import { describeCostProblem } from '../../wording/problems';
import { drawOddsInWorker } from '../../workers/odds-client';
import { WidthField } from '../artwork/WidthField';
import { Frame } from '../shared/Frame';
import { useSettings } from '../shared/settings';
import { useLatest } from '../shared/use-latest';
import { useMounted } from '../shared/use-mounted';
import { Why } from '../shared/Why';
import { listChoices, listLayers, calculateComparison, type CompareKind, type CompareWish } from './calculate-compare';
import { WorthPanel } from './WorthPanel';

const FlipCharts = lazy(() => import('./FlipCharts'));
const MOST = 4;

export function CompareScreen({ frame, view }: { frame: FrameView; view: CompareView }) {
  return (
    <Frame frame={frame} current="items">
      <Compare view={view} />
    </Frame>
  );
}

/** What the item has now, and the nearest other of it. */
function startIds(view: CompareView, kind: CompareKind, layerIndex: number): readonly number[] {
  if (kind === 'blanks')
    return [
      view.item.blankId,
      ...view.blanks
        .filter((blank) => blank.id !== view.item.blankId)
        .slice(0, 1)
        .map((blank) => blank.id),
    ];
  if (kind === 'offers')
    return listChoices(view, kind, layerIndex)
      .slice(0, MOST - 1)
      .map((choice) => choice.id);
  const own = listLayers(view)[layerIndex]?.vinyl;
  if (!own) return view.vinyls.slice(0, 2).map((vinyl) => vinyl.id);
  const others = view.vinyls
    .filter((vinyl) => vinyl.id !== own.id && (vinyl.press === null) === (own.press === null))
    .sort((a, b) => Number(b.kind === own.kind) - Number(a.kind === own.kind));
  return [own.id, ...others.slice(0, 1).map((vinyl) => vinyl.id)];
}

const KIND_NAMES: Readonly<Record<CompareKind, string>> = {
  vinyls: 'vinyls',
  offers: 'offers of its vinyl',
  blanks: 'blanks',
};

function Compare({ view }: { view: CompareView }) {
  const settings = useSettings();
  const mounted = useMounted();
  const [wish, setWish] = useState<CompareWish>({
    kind: 'vinyls',
    layerIndex: 0,
    ids: startIds(view, 'vinyls', 0),
    widthMm: view.item.placements[0]?.widthMm ?? 100,
    quantity: view.item.quantity,
  });
  const [quantity, setQuantity] = useState(String(view.item.quantity));
  const [odds, setOdds] = useState<{ readonly of: string; readonly odds: Odds } | null>(null);
  const comparison = useMemo(
    () => calculateComparison(view, wish, settings.shop.figures),
    [view, wish, settings.shop.figures],
  );
  const { input, candidates, compared, flips, curves, best } = comparison;
  const asked = JSON.stringify(wish);
  useLatest(
    candidates.length > 1 ? asked : null,
    100,
    async (signal) => ({ of: asked, odds: await drawOddsInWorker(input, candidates, signal) }),
    setOdds,
  );
  const known = odds?.of === asked ? odds.odds : null;
  const layers = useMemo(() => listLayers(view), [view]);
  const choices = useMemo(() => listChoices(view, wish.kind, wish.layerIndex), [view, wish.kind, wish.layerIndex]);
  const set = (part: Partial<CompareWish>) => setWish({ ...wish, ...part });
  const stages = [
    ...new Set(compared.flatMap(({ cost }) => (cost.ok ? [...sumByStage(cost.value).keys()] : []))),
  ] as readonly CostStage[];
  const typed = parseNumber(quantity);
  // The one a seller can do most about comes first.
  const told =
    (['wage', 'width', 'failure', 'quantity'] as const).flatMap((over) =>
      flips.filter((flip) => flip.over === over),
    )[0] ?? null;
  return (
    <>
      <div className="page-head">
        <div>
          <h1 style={{ margin: 0 }} aria-live="polite">
            {candidates.length < 2
              ? wish.kind === 'offers' && choices.length < 2
                ? `${layers[wish.layerIndex]?.vinyl.name ?? 'This vinyl'} has ${choices.length === 0 ? 'no offer' : 'one offer'} to compare`
                : `Choose two ${KIND_NAMES[wish.kind]} or more`
              : (describeVerdict(compared, known?.cheapest ?? null, told, settings) ??
                'It can’t be made in any of these')}
          </h1>
          <p className="soft" style={{ margin: '4px 0 0' }}>
            <a href={`/items/${view.item.id}`}>{view.item.name}</a>,{' '}
            {view.blanks.find((blank) => blank.id === view.item.blankId)?.name}, {view.item.sizeName}
          </p>
        </div>
      </div>
      <section
        className="sheet fields"
        aria-label="What is compared"
        style={{ gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr) minmax(0, 3fr) minmax(0, .8fr) minmax(0, .8fr)' }}
      >
        <TextField
          select
          label="Side by side"
          value={wish.kind}
          onChange={(event) => {
            const kind = event.target.value as CompareKind;
            set({ kind, ids: startIds(view, kind, wish.layerIndex) });
          }}
        >
          {(Object.keys(KIND_NAMES) as CompareKind[]).map((kind) => (
            <MenuItem key={kind} value={kind}>
              {KIND_NAMES[kind]}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label="Layer"
          value={wish.layerIndex}
          onChange={(event) =>
            set({ layerIndex: Number(event.target.value), ids: startIds(view, wish.kind, Number(event.target.value)) })
          }
        >
          {layers.map((layer, index) => (
            <MenuItem key={index} value={index}>
              {layer.name}
              {new Set(layers.map((entry) => entry.place)).size > 1 ? `, ${layer.place}` : ''}
            </MenuItem>
          ))}
        </TextField>
        <Autocomplete
          multiple
          disableCloseOnSelect
          options={[...choices]}
          value={wish.ids.flatMap((id) => choices.find((choice) => choice.id === id) ?? [])}
          getOptionLabel={(choice) => choice.name}
          getOptionKey={(choice) => choice.id}
          isOptionEqualToValue={(a, b) => a.id === b.id}
          getOptionDisabled={(choice) => wish.ids.length >= MOST && !wish.ids.includes(choice.id)}
          onChange={(_, chosen) => set({ ids: chosen.slice(0, MOST).map((choice) => choice.id) })}
          renderInput={(props) => <TextField {...props} label={`In these ${KIND_NAMES[wish.kind]}, four at most`} />}
        />
        <WidthField
          label="Width"
          widthMm={wish.widthMm}
          onChange={(widthMm) => widthMm !== null && widthMm >= 5 && set({ widthMm })}
        />
        <TextField
          label="Made at once"
          value={quantity}
          error={typed === null || !Number.isInteger(typed) || typed < 1}
          onChange={(event) => {
            setQuantity(event.target.value);
            const next = parseNumber(event.target.value);
            if (next !== null && Number.isInteger(next) && next >= 1 && next <= 10_000) set({ quantity: next });
          }}
          slotProps={{ htmlInput: { inputMode: 'numeric', className: 'figures' } }}
        />
      </section>
      {candidates.length > 0 && (
        <div className="cols" style={{ gridTemplateColumns: 'minmax(0, 1.25fr) minmax(0, 1fr)' }}>
          <section className="sheet flush" aria-label="Line by line" tabIndex={0}>
            <table className="plain compare">
              <thead>
                <tr>
                  <th>a good piece</th>
                  {compared.map(({ vinyl, name }, index) => (
                    <th key={index} className="right">
                      <i className="swatch" style={{ background: vinyl.colourHex }} />
                      {name}
                      {index === best && (
                        <>
                          {' '}
                          <span className="tag">cheapest</span>
                        </>
                      )}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {stages.map((stage) => (
                  <tr key={stage}>
                    <td>{STAGE_LABELS[stage]}</td>
                    {compared.map(({ cost }, index) => {
                      const figure = cost.ok ? sumByStage(cost.value).get(stage) : undefined;
                      return (
                        <td key={index} className="num">
                          {figure ? <Why figure={figure} /> : '–'}
                        </td>
                      );
                    })}
                  </tr>
                ))}
                <tr className="total">
                  <td>
                    <strong>Full cost with risk</strong>
                  </td>
                  {compared.map(({ cost }, index) => (
                    <td key={index} className="num">
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
                <tr>
                  <td>Your time</td>
                  {compared.map(({ cost }, index) => (
                    <td key={index} className="num">
                      {cost.ok ? <Why figure={cost.value.handsSeconds} /> : '–'}
                    </td>
                  ))}
                </tr>
                <tr>
                  <td>Goes wrong</td>
                  {compared.map(({ belief }, index) => (
                    <td key={index} className="num">
                      <Why figure={belief.mean} />
                      {known && (
                        <span className="soft" style={{ display: 'block', fontSize: '.82rem' }}>
                          {formatShare(known.failure[index]!.low, settings)} to{' '}
                          {formatShare(known.failure[index]!.high, settings)}
                        </span>
                      )}
                    </td>
                  ))}
                </tr>
                <tr>
                  <td>Chance that it is the cheapest</td>
                  {compared.map((_, index) => (
                    <td key={index} className="num">
                      {known ? formatShare(known.cheapest[index]!, settings, 0) : '…'}
                    </td>
                  ))}
                </tr>
                <tr>
                  <td>Fit for it</td>
                  {compared.map(({ unfit }, index) => (
                    <td key={index} className="right">
                      {unfit.length === 0 ? (
                        'yes'
                      ) : (
                        <span className="short">{unfit.map((entry) => describeUnfit(entry, settings)).join('; ')}</span>
                      )}
                    </td>
                  ))}
                </tr>
              </tbody>
            </table>
          </section>
          <section className="sheet" aria-label="Where it flips">
            <h2 style={{ margin: '0 0 6px' }}>Where it flips</h2>
            <ul className="checks">
              {flips.map((flip) => (
                <li key={`${flip.over} ${flip.beyond} ${flip.at}`}>
                  <span>{capitalise(describeFlip(flip, settings))}.</span>
                </li>
              ))}
            </ul>
            {flips.length === 0 && candidates.length > 1 && (
              <p className="soft" style={{ margin: 0 }}>
                Nowhere within reason: not by your hour, the size, the number made or what goes wrong.
              </p>
            )}
            {mounted && candidates.length > 1 && (
              <Suspense>
                <FlipCharts curves={curves} candidates={candidates} />
              </Suspense>
            )}
          </section>
        </div>
      )}
      <WorthPanel view={view} spec={input.spec} layerIndex={wish.layerIndex} quantity={wish.quantity} />
    </>
  );
}

const capitalise = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
