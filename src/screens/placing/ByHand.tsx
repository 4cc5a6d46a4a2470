// How to find the place without this drawing: by folding and a ruler.

import { listPlacingSteps, type PlacedArtwork } from '../../core/placing';
import { describePlacingStep } from '../../wording/placing';
import { useSettings } from '../shared/settings';

type Props = { readonly placed: PlacedArtwork };

export function ByHand({ placed }: Props) {
  return (
    <section className="sheet" aria-label="By hand">
      <h2 className="flat below-2">By hand</h2>
      <HandSteps placed={placed} />
    </section>
  );
}

export function HandSteps({ placed }: Props) {
  const settings = useSettings();
  return (
    <ol className="flat by-hand">
      {listPlacingSteps(placed).map((step) => (
        <li key={step.kind}>{describePlacingStep(step, settings)}</li>
      ))}
    </ol>
  );
}
