// An order's progress: one column a unit, one tooth a part, filled as it is cut, weeded, pressed, checked.

import type { CombColumn } from '../../views/orders';
import { STATE_NAMES } from '../../wording/stations';
import { plural } from '../../wording/plural';

export function Comb({ columns }: { columns: readonly CombColumn[] }) {
  return (
    <div className="comb" role="img" aria-label={summarise(columns)}>
      {columns.map((column) => (
        <span
          key={column.pieceId}
          title={`${namePieces(column)}: ${column.teeth.map((tooth) => (tooth.broken ? 'spoiled' : STATE_NAMES[tooth.state])).join(', ')}`}
        >
          {column.teeth.map((tooth) => (
            <i key={tooth.partId} className={`tooth ${tooth.broken ? 'broken' : tooth.state}`} />
          ))}
        </span>
      ))}
    </div>
  );
}

export function CombLegend() {
  return (
    <div className="legend">
      <span>
        <i className="tooth" />
        to cut
      </span>
      <span>
        <i className="tooth cut" />
        cut
      </span>
      <span>
        <i className="tooth weeded" />
        weeded
      </span>
      <span>
        <i className="tooth pressed" />
        pressed
      </span>
      <span>
        <i className="tooth checked" />
        checked
      </span>
      <span>
        <i className="tooth broken" />
        spoiled, to recut
      </span>
    </div>
  );
}

const namePieces = ({ number, pieces }: CombColumn): string =>
  pieces === 1 ? `piece ${number}` : `pieces ${number} to ${number + pieces - 1}, the slowest`;

function summarise(columns: readonly CombColumn[]): string {
  const pieces = columns.reduce((sum, column) => sum + column.pieces, 0);
  if (pieces > columns.length)
    return `${plural(pieces, 'piece')} in ${columns.length} columns, each as far as its slowest piece`;
  const teeth = columns.flatMap((column) => column.teeth);
  const counts = (['to-cut', 'cut', 'weeded', 'pressed', 'checked'] as const)
    .map((state) => [STATE_NAMES[state], teeth.filter((tooth) => tooth.state === state).length] as const)
    .filter(([, count]) => count > 0);
  const broken = teeth.filter((tooth) => tooth.broken).length;
  return `${plural(pieces, 'piece')}, ${plural(teeth.length, 'part')}: ${counts.map(([name, count]) => `${count} ${name}`).join(', ')}${broken ? `, ${broken} spoiled` : ''}`;
}
