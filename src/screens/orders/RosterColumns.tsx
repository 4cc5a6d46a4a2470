// Which column of a list holds what, as it was guessed, to be put right.

import { countColumns, type RosterItem, type RosterMatch } from '../../core/rosters';
import { ColumnChoice } from '../shared/ColumnChoice';
import type { RosterState } from './use-roster';

type Props = { readonly roster: RosterState; readonly item: RosterItem };

export function RosterColumns({ roster: { read, rematch }, item }: Props) {
  if (!read) return null;
  const { table, match } = read;
  const columns = Array.from({ length: countColumns(table) }, (_, at) => nameColumn(table, at));
  if (columns.length < 2) return null;
  const take = (change: (column: number | null) => Partial<RosterMatch>) => (column: number | null) =>
    rematch({ ...release(match, column), ...change(column) });
  return (
    <div className="own-fields">
      {item.letterings.map(({ label }) => (
        <ColumnChoice
          key={label}
          label={label}
          columns={columns}
          value={match.texts[label] ?? null}
          onChange={take((column) => ({ texts: { ...release(match, column).texts, [label]: column } }))}
        />
      ))}
      {item.sizes.length > 1 && (
        <ColumnChoice label="Size" columns={columns} value={match.size} onChange={take((size) => ({ size }))} />
      )}
      {item.colours.length > 1 && (
        <ColumnChoice label="Colour" columns={columns} value={match.colour} onChange={take((colour) => ({ colour }))} />
      )}
      <ColumnChoice label="Note" columns={columns} value={match.note} onChange={take((note) => ({ note }))} />
    </div>
  );
}

/** A column holds one thing: chosen anew, it is taken from what it was before. */
function release(match: RosterMatch, column: number | null): RosterMatch {
  const free = (own: number | null) => (own === column ? null : own);
  return {
    texts: Object.fromEntries(Object.entries(match.texts).map(([label, own]) => [label, free(own)])),
    size: free(match.size),
    colour: free(match.colour),
    note: free(match.note),
  };
}

function nameColumn({ header, rows }: NonNullable<RosterState['read']>['table'], at: number): string {
  const heading = header?.[at]?.trim();
  const first = rows.map(({ cells }) => (cells[at] ?? '').trim()).find((cell) => cell !== '');
  return heading ? heading : `column ${at + 1}${first ? `: ${first} …` : ''}`;
}
