// An order's slack in words, with its working.

import { formatDuration, type Figure } from '../../core/units';
import { useSettings } from './settings';
import { Why } from './Why';

export function Slack({ slack }: { slack: Figure | null }) {
  const settings = useSettings();
  if (!slack) return <span className="soft">none needed</span>;
  return (
    <span className={slack.value < 0 ? 'short' : undefined}>
      <Why figure={slack}>
        {slack.value < 0 ? 'short' : 'spare'} {formatDuration(Math.abs(slack.value), settings)}
      </Why>
    </span>
  );
}
