// The facts that must be read from afar at a station: which way round, how hot, how long, how it is peeled.

import type { Peel } from '../../core/materials';
import type { Station } from '../../core/orders';
import { formatLength, formatTemperature } from '../../core/units';
import type { BenchPartView, BenchView } from '../../views/bench';
import { plural, verbFor } from '../../wording/plural';
import { Icon } from '../shared/Icon';
import { useSettings } from '../shared/settings';

type Props = {
  readonly station: Station;
  readonly view: BenchView;
  /** Those of the batch, at least one. */
  readonly parts: readonly BenchPartView[];
};
type FactsProps = Omit<Props, 'station'>;

export function BigFacts({ station, ...batch }: Props) {
  switch (station) {
    case 'cut':
      return <CutFacts {...batch} />;
    case 'weed':
      return <WeedFacts {...batch} />;
    case 'press':
      return <PressFacts {...batch} />;
    case 'check':
      return <CheckFacts {...batch} />;
    default:
      return station satisfies never;
  }
}

const findLine = (view: BenchView, part: BenchPartView) => view.lines.find((line) => line.lineId === part.lineId);

function CutFacts({ view, parts }: FactsProps) {
  const settings = useSettings();
  const ways = new Set(parts.map((part) => part.handedness));
  const vinyl = view.vinyls.find((candidate) => candidate.id === parts[0]!.vinylId);
  return (
    <div className="big">
      {[...ways].map((words) => (
        <span key={words} className="error-text">
          {words}
        </span>
      ))}
      <span>roll {formatLength(vinyl?.rollWidthMm ?? 0, settings)} wide</span>
    </div>
  );
}

function WeedFacts({ view, parts }: FactsProps) {
  const first = parts[0]!;
  const layer = findLine(view, first)?.layers[first.layerIndex];
  const pieces = layer?.pieces ?? 0;
  return (
    <div className="big">
      <span>{first.vinylName}</span>
      <span>{plural(layer?.cavities ?? 0, 'cavity')}</span>
      <span>
        {plural(pieces, 'piece')} {verbFor(pieces, 'stays', 'stay')}
      </span>
    </div>
  );
}

function PressFacts({ view, parts }: FactsProps) {
  const settings = useSettings();
  const line = findLine(view, parts[0]!);
  if (!line?.plan) return <p className="short">{line?.planProblem}</p>;
  const { steps } = line.plan;
  const last = [...steps].reverse().find((step) => step.kind === 'press' && !step.stones);
  if (!last)
    return (
      <div className="big">
        <span>no heat: tape, place, burnish</span>
      </div>
    );
  return (
    <div className="big">
      <span>{formatTemperature(last.temperatureC ?? 0, settings)}</span>
      <span>{last.seconds} s</span>
      <span>{last.pressure}</span>
      <span className="error-text">
        <PeelFact peel={steps.find((step) => step.kind === 'peel' && step.vinylName === last.vinylName)?.peel} />
      </span>
    </div>
  );
}

function CheckFacts({ parts }: FactsProps) {
  return (
    <div className="big">
      <span>spelling</span>
      <span>position: {parts[0]!.placement}</span>
      <span>edges</span>
    </div>
  );
}

function PeelFact({ peel }: { readonly peel: Peel | null | undefined }) {
  return peel ? (
    <>
      <Icon name={`peel-${peel}`} /> peel {peel}
    </>
  ) : null;
}
