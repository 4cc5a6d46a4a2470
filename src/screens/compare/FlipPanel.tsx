// Where the answer flips: in words, and over your hour, the size, the number made and what goes wrong.

import type { Comparison } from '../../core/planning';
import { capitalise, describeFlip } from '../../wording/compare';
import { useSettings } from '../shared/settings';
import { WhenSeen } from '../shared/WhenSeen';
import { late } from '../shared/late';

const FlipCharts = late(() => import('./FlipCharts'));

export function FlipPanel({ comparison: { flips, curves, candidates } }: { readonly comparison: Comparison }) {
  const settings = useSettings();
  return (
    <section className="sheet" aria-label="Where it flips">
      <h2 className="flat below-1">Where it flips</h2>
      <ul className="checks">
        {flips.map((flip) => (
          <li key={`${flip.over} ${flip.beyond} ${flip.at}`}>
            <span>{capitalise(describeFlip(flip, settings))}.</span>
          </li>
        ))}
      </ul>
      {flips.length === 0 && candidates.length > 1 && (
        <p className="soft flat">
          Nowhere within reason: not by your hour, the size, the number made or what goes wrong.
        </p>
      )}
      {candidates.length > 1 && (
        <WhenSeen>
          <FlipCharts curves={curves} candidates={candidates} />
        </WhenSeen>
      )}
    </section>
  );
}
