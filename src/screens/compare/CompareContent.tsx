// Compare: the same piece in two to four vinyls, line by line, how sure the answer is, and where it flips.

import { useMemo, useState } from 'react';
import type { Odds } from '../../core/costing/compare-odds';
import {
  compareAsTheyAre,
  compareItem,
  listChoices,
  listCompareLayers,
  proposeChoices,
  type Comparison,
  type CompareWish,
} from '../../core/planning';
import type { CompareView } from '../../views/compare';
import { describeVerdict, type CompareVerdict } from '../../wording/compare';
import { drawOddsInWorker } from '../../workers/odds-client';
import { LookFor } from '../shared/LookFor';
import { useSettings, type Settings } from '../shared/settings';
import { useLatest } from '../shared/use-latest';
import { useMounted } from '../shared/use-mounted';
import { CompareFields, KIND_NAMES, MOST_COMPARED } from './CompareFields';
import { CompareTable } from './CompareTable';
import { FlipPanel } from './FlipPanel';
import { WorthPanel } from './WorthPanel';

const ODDS_PAUSE_MS = 100;

export default function CompareContent({ view }: { view: CompareView }) {
  return <WithOtherVinyls initial={view} />;
}

/** With vinyls that are looked for by name, and what the log says of them. */
function WithOtherVinyls({ initial }: { initial: CompareView }) {
  const [view, setView] = useState(initial);
  const more = useMemo(() => ({ vinyl: initial.moreVinyls }), [initial.moreVinyls]);
  return (
    <LookFor
      more={more}
      onVinyl={(vinyl, evidence) =>
        setView((now) => ({
          ...now,
          vinyls: [...now.vinyls.filter(({ id }) => id !== vinyl.id), vinyl],
          evidence: [...now.evidence.filter(({ vinylId }) => vinylId !== vinyl.id), ...evidence],
        }))
      }
    >
      <Compare view={view} />
    </LookFor>
  );
}

function Compare({ view }: { view: CompareView }) {
  const settings = useSettings();
  const { figures } = settings.shop;
  const [wish, setWish] = useState<CompareWish>({
    kind: 'vinyls',
    layerIndex: 0,
    ids: proposeChoices(view, 'vinyls', 0, MOST_COMPARED),
    widthMm: view.item.placements[0]?.widthMm ?? 100,
    quantity: view.item.quantity,
  });
  const mounted = useMounted();
  const comparison = useMemo(
    () => (mounted ? compareItem : compareAsTheyAre)(view, wish, figures),
    [view, wish, figures, mounted],
  );
  const odds = useOdds(wish, comparison);
  const layers = useMemo(() => listCompareLayers(view), [view]);
  const choices = useMemo(() => listChoices(view, wish.kind, wish.layerIndex), [view, wish.kind, wish.layerIndex]);
  const verdict =
    comparison.candidates.length < 2
      ? { heading: describeTooFew(wish, choices.length, layers[wish.layerIndex]?.vinyl.name), because: '' }
      : describeComparison(comparison, odds, settings);
  return (
    <>
      <div className="page-head">
        <div>
          <h1 className="flat" aria-live="polite">
            {verdict.heading}
          </h1>
          <p className="soft above-1">
            {verdict.because} <a href={`/items/${view.item.id}`}>{view.item.name}</a>,{' '}
            {view.blanks.find((blank) => blank.id === view.item.blankId)?.name}, {view.item.sizeName}
          </p>
        </div>
      </div>
      <CompareFields view={view} wish={wish} layers={layers} choices={choices} onChange={setWish} />
      {comparison.candidates.length > 0 && (
        <div className="cols split-5-4">
          <CompareTable comparison={comparison} odds={odds} />
          {mounted && <FlipPanel comparison={comparison} />}
        </div>
      )}
      <WorthPanel view={view} spec={comparison.input.spec} layerIndex={wish.layerIndex} quantity={wish.quantity} />
    </>
  );
}

/** How likely each is the cheapest, drawn in a worker; null until it answered for this wish. */
function useOdds(wish: CompareWish, { input, candidates }: Comparison): Odds | null {
  const [known, setKnown] = useState<{ readonly of: string; readonly odds: Odds } | null>(null);
  const asked = JSON.stringify(wish);
  useLatest(
    candidates.length > 1 ? asked : null,
    ODDS_PAUSE_MS,
    async (signal) => ({ of: asked, odds: await drawOddsInWorker(input, candidates, signal) }),
    setKnown,
  );
  return known?.of === asked ? known.odds : null;
}

function describeTooFew({ kind }: CompareWish, choices: number, vinylName = 'This vinyl'): string {
  return kind === 'offers' && choices < 2
    ? `${vinylName} has ${choices === 0 ? 'no offer' : 'one offer'} to compare`
    : `Choose two ${KIND_NAMES[kind]} or more`;
}

function describeComparison({ compared, flips }: Comparison, odds: Odds | null, settings: Settings): CompareVerdict {
  const none = { heading: 'It can’t be made in any of these', because: '' };
  return describeVerdict(compared, odds?.cheapest ?? null, flips[0] ?? null, settings) ?? none;
}
