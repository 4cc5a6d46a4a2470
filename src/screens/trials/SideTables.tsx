// Trials side by side, and what is counted of tapes, mats and tools.

import { formatInstant } from '../../core/units';
import type { LabelRow, SideRow } from '../../views/trials';
import { AXIS_WORDS, describeSides } from '../../wording/side-by-side';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';

export function SideTable({ rows }: { readonly rows: readonly SideRow[] }) {
  const settings = useSettings();
  return (
    <section className="sheet above-3" aria-label="Side by side">
      <h2 className="flat below-2">Side by side</h2>
      <div className="scrolls" tabIndex={0} role="region" aria-label="Side by side, table">
        <table className="plain">
          <thead>
            <tr>
              <th scope="col">Trial</th>
              <th scope="col">Between</th>
              <th scope="col">What was found</th>
              <th scope="col">Begun</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ id, name, axis, names, verdict, best, startedAtMs }) => (
              <tr key={id}>
                <th scope="row">
                  <a href={`/trials/side/${id}`}>{name}</a>
                  <div className="soft">{AXIS_WORDS[axis].several}</div>
                </th>
                <td>{names.join('; ')}</td>
                <td>{describeSides(verdict, best, settings)}</td>
                <td>{formatInstant(startedAtMs, settings)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

export function LabelTable({ rows }: { readonly rows: readonly LabelRow[] }) {
  return (
    <section className="sheet above-3" aria-label="Tapes, mats and tools">
      <h2 className="flat below-2">Tapes, mats and tools</h2>
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col" className="num">
              made
            </th>
            <th scope="col" className="num">
              lost
            </th>
            <th scope="col" className="num">
              loses
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ axis, label, tries, failures, rate }) => (
            <tr key={`${axis} ${label}`}>
              <th scope="row">
                {label} <span className="soft">{AXIS_WORDS[axis].one}</span>
              </th>
              <td className="num">{tries}</td>
              <td className="num">{failures}</td>
              <td className="num">
                <Why figure={rate} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
