// How to find the place without this drawing: by folding and a ruler.

import { listPlacingSteps, type PlacedArtwork } from '../../core/placing';
import { describePlacingStep } from '../../wording/placing';
import { useSettings } from '../shared/settings';

export function ByHand({ placed }: { readonly placed: PlacedArtwork }) {
  const settings = useSettings();
  return (
    <section className="sheet" aria-label="By hand">
      <h2 className="flat below-2">By hand</h2>
      <ol className="flat by-hand">
        {listPlacingSteps(placed).map((step) => (
          <li key={step.kind}>{describePlacingStep(step, settings)}</li>
        ))}
      </ol>
    </section>
  );
}
