// What a price list would change, before it is imported.

import type { ListChange } from '../../views/offers';
import { useSettings } from '../shared/settings';
import { formatMoney } from '../../core/units';
import { NumberHead } from '../shared/NumberHead';

export const LINES_SHOWN = 60;

export function Changes({ changes }: { changes: readonly ListChange[] }) {
  const settings = useSettings();
  if (changes.length === 0) return null;
  return (
    <div className="sheet flush scrolls list-tall" tabIndex={0} aria-label="What it changes" role="region">
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">line</th>
            <th scope="col">article</th>
            <th scope="col">name</th>
            <NumberHead>before</NumberHead>
            <NumberHead>now</NumberHead>
          </tr>
        </thead>
        <tbody>
          {changes.slice(0, LINES_SHOWN).map((change) => (
            <tr key={change.code}>
              <td className="num">{change.line}</td>
              <td>{change.code}</td>
              <td>{change.name}</td>
              <td className="num soft">{change.before === null ? 'new' : formatMoney(change.before, settings)}</td>
              <td className="num">{formatMoney(change.price, settings)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {changes.length > LINES_SHOWN && (
        <p className="soft flat above-3 after-3 below-3 before-3">and {changes.length - LINES_SHOWN} more</p>
      )}
    </div>
  );
}
