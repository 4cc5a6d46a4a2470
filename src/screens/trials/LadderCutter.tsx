// The machine that cuts the figures, or none.

import type { LadderAtHand } from './use-ladder';

export function LadderCutter({ at }: { readonly at: LadderAtHand }) {
  const { cutter } = at.ladder;
  if (!cutter)
    return (
      <div className="actions above-3" role="group" aria-label="Cutter">
        <span className="soft">No cutter connected: cut the figure by hand, and say how it came out.</span>
        <button className="quiet" disabled={at.pending} onClick={() => at.cutter({ choice: 'simulated' })}>
          try the simulated one
        </button>
      </div>
    );
  return (
    <div className="actions above-3" role="group" aria-label="Cutter">
      <span className="soft">
        {cutter.name}
        {cutter.isOn ? '' : ', unplugged'}
      </span>
      {cutter.isSimulated && (
        <button
          className="quiet"
          aria-pressed={cutter.pace === 60}
          disabled={at.pending}
          onClick={() => at.cutter({ trick: cutter.pace === 60 ? 'pace-1' : 'pace-60' })}
        >
          60 times as fast
        </button>
      )}
    </div>
  );
}
