// Which cutter this is, and what can be done to a simulated one to see what follows.

import type { CutterView } from '../../../views/load';
import type { LoadAtCutter } from './use-load';

type Props = { readonly at: LoadAtCutter; readonly cutter: CutterView | null };

export function CutterBar({ at, cutter }: Props) {
  if (!cutter)
    return (
      <div className="actions above-3" role="group" aria-label="Cutter">
        <span className="soft">No cutter connected: take the file to it from Cut sheets.</span>
        <button className="quiet" disabled={at.pending} onClick={() => at.choose('simulated')}>
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
        <>
          <button
            className="quiet"
            aria-pressed={cutter.pace === 60}
            disabled={at.pending}
            onClick={() => at.trick(cutter.pace === 60 ? 'pace-1' : 'pace-60')}
          >
            60 times as fast
          </button>
          <button className="quiet" disabled={at.pending} onClick={() => at.trick(cutter.isOn ? 'unplug' : 'plug-in')}>
            {cutter.isOn ? 'pull the plug' : 'plug it in'}
          </button>
          {cutter.job?.state === 'cutting' && (
            <button className="quiet" disabled={at.pending} onClick={() => at.trick('jam')}>
              let it jam
            </button>
          )}
          <button className="quiet" disabled={at.pending} onClick={() => at.choose('none')}>
            work without it
          </button>
        </>
      )}
    </div>
  );
}
