// What stands in the way of making something well: the strongest in full, the others when they are asked for.

import type { SaidFinding } from '../../views/orders';
import { Icon } from './Icon';

type Props = {
  /** The strongest first. */
  readonly findings: readonly SaidFinding[];
  /** What it is about, where that is not clear from the place. */
  readonly of?: string;
};

export function InTheWay({ findings, of }: Props) {
  const [first, ...others] = findings;
  if (!first) return null;
  return (
    <div className="notice below-4 in-the-way" role="status">
      <Icon name="caution" />
      <div>
        <strong>{of ? `${of}: ${first.what}` : first.what}</strong>
        <span>{first.todo}</span>
        {others.length > 0 && (
          <details>
            <summary>{others.length === 1 ? 'One thing more' : `${others.length} things more`}</summary>
            <ul>
              {others.map(({ what, todo }) => (
                <li key={what}>
                  {what}. {todo}
                </li>
              ))}
            </ul>
          </details>
        )}
      </div>
    </div>
  );
}
