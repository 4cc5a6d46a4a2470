// How hot the press is, when it will be ready, and what can be done to a simulated one to see what follows.

import { formatClock, formatTemperature } from '../../core/units';
import type { PressView } from '../../views/press';
import { useSettings } from '../shared/settings';
import type { PressAtHand } from './use-press';

export function PressBar({ press, work }: PressAtHand) {
  if (!press)
    return (
      <div className="actions above-3" role="group" aria-label="Press">
        <span className="soft">No press connected: go by its own display.</span>
        <button className="quiet" onClick={() => work({ choice: 'simulated' })}>
          try the simulated one
        </button>
      </div>
    );
  return (
    <div className="actions above-3" role="group" aria-label="Press">
      <Heat press={press} />
      <button className="quiet" onClick={() => work({ act: 'off' })}>
        switch it off
      </button>
      {press.isSimulated && (
        <>
          <button className="quiet" onClick={() => work({ trick: press.temperatureC === null ? 'see' : 'blind' })}>
            {press.temperatureC === null ? 'give its reading back' : 'lose its reading'}
          </button>
          <button className="quiet" onClick={() => work({ choice: 'none' })}>
            work without it
          </button>
        </>
      )}
    </div>
  );
}

/** Told where it is closed next; nobody is kept from closing it. */
export function NotHotYet({ press }: { readonly press: PressView }) {
  const settings = useSettings();
  if (!press?.isOn || press.temperatureC === null || press.readyInS === 0) return null;
  const now = formatTemperature(press.temperatureC, settings);
  return (
    <p className="short flat above-2">
      {press.temperatureC < press.targetC ? `Not hot yet: the press is at ${now}.` : `Too hot: the press is at ${now}.`}
    </p>
  );
}

function Heat({ press }: { readonly press: NonNullable<PressView> }) {
  const settings = useSettings();
  const { name, isOn, temperatureC, targetC, readyInS } = press;
  if (!isOn) return <span className="soft">{name}, off</span>;
  if (temperatureC === null)
    return (
      <span className="short" role="status">
        {name}: no reading. Go by its own display.
      </span>
    );
  return (
    <span role="status">
      {name}: <strong className="figures">{formatTemperature(temperatureC, settings)}</strong>
      {readyInS === 0
        ? ', hot'
        : `, ${temperatureC < targetC ? 'warms' : 'cools'} to ${formatTemperature(targetC, settings)}${
            readyInS === null ? '' : ` in about ${formatClock(readyInS)}`
          }`}
    </span>
  );
}
