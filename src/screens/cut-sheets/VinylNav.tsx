// What waits of each vinyl, with its saved cut sheets below it.

import { formatDay, formatInstant, formatLength } from '../../core/units';
import { plural } from '../../wording/plural';
import { useSettings } from '../shared/settings';
import type { CutSheetsView } from '../../views/cut-sheets';
import type { Group, SavedSheet } from './cut-load';
import { Swatch } from '../shared/Swatch';

/** The first day on which one of its parts is due. */
export const dueOf = (group: Group): string =>
  group.parts.reduce((first, part) => (part.dueDay < first ? part.dueDay : first), group.parts[0]!.dueDay);

type Props = {
  readonly groups: readonly Group[];
  /** The vinyl that is worked on. */
  readonly group: Group;
  /** The saved sheet that is worked on; null for a new one. */
  readonly ownId: number | null;
  /** What waits of vinyls that are not among the groups. */
  readonly later: CutSheetsView['later'];
  readonly onOpen: (vinylId: number, saved: SavedSheet | null) => void;
  readonly onShowAll: () => void;
};

export function VinylNav({ groups, group, ownId, later, onOpen, onShowAll }: Props) {
  const settings = useSettings();
  return (
    <nav className="sheet flush queue-nav" aria-label="Vinyls">
      <ul className="queue">
        {groups.flatMap((one) => [
          <li key={one.vinyl.id}>
            <button
              type="button"
              aria-pressed={one === group && ownId === null}
              onClick={() => onOpen(one.vinyl.id, null)}
            >
              <Swatch colour={one.vinyl.colourHex} />
              {one.vinyl.name}
              <small>
                {plural(one.parts.length, 'part')}, due {formatDay(dueOf(one), settings)};{' '}
                {one.stock.length === 0 ? 'nothing on the shelf' : plural(one.stock.length, 'lot')}
              </small>
            </button>
          </li>,
          ...one.saved.map((saved) => (
            <li key={`saved ${saved.id}`}>
              <button
                type="button"
                className="saved indented-more"
                aria-pressed={saved.id === ownId}
                onClick={() => onOpen(one.vinyl.id, saved)}
              >
                <SavedName saved={saved} />
                <small>cut sheet, saved {formatInstant(saved.savedAtMs, settings)}</small>
              </button>
            </li>
          )),
        ])}
        {later.vinyls > 0 && (
          <li>
            <button type="button" onClick={onShowAll}>
              Show {plural(later.vinyls, 'more vinyl')}
              <small>{plural(later.parts, 'part')}, due later</small>
            </button>
          </li>
        )}
      </ul>
    </nav>
  );
}

function SavedName({ saved: { sheet } }: { readonly saved: SavedSheet }) {
  const settings = useSettings();
  const [only] = sheet.sheets;
  const on =
    sheet.sheets.length === 1 && only
      ? formatLength(only.usedLengthMm, settings)
      : plural(sheet.sheets.length, 'sheet');
  return (
    <>
      {plural(sheet.placements.length, 'part')} on {on}
    </>
  );
}
