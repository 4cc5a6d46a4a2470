// A caution: in full the first time it applies on this computer, in one line from then on, and in full when it is asked
// for.

import { useEffect, useState } from 'react';
import { Icon } from '../shared/Icon';

type Props = {
  /** Tells it from others. */
  readonly name: string;
  readonly full: string;
};
const SEEN = 'chiral cautions seen';
/** As many as are remembered: those of long ago are told in full again. */
const MOST_SEEN = 200;

function readSeen(): readonly string[] {
  try {
    const seen: unknown = JSON.parse(localStorage.getItem(SEEN) ?? '[]');
    return Array.isArray(seen) ? seen.filter((one) => typeof one === 'string') : [];
  } catch {
    return [];
  }
}

export function Caution({ name, full }: Props) {
  const [isKnown, setKnown] = useState(false);
  useEffect(() => {
    const seen = readSeen();
    setKnown(seen.includes(name));
    if (!seen.includes(name)) localStorage.setItem(SEEN, JSON.stringify([...seen, name].slice(-MOST_SEEN)));
  }, [name]);
  const [first] = full.split(/(?<=[.:;])\s/);
  if (!isKnown || first === full)
    return (
      <div className="notice">
        <Icon name="caution" />
        {full}
      </div>
    );
  return (
    <details className="notice">
      <summary>
        <Icon name="caution" /> {first}
      </summary>
      {full.slice(first!.length)}
    </details>
  );
}
