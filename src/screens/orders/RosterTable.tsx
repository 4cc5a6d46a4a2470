// The rows of a list of names: what each says, in which size, as it will be cut, and what may be wrong with it.

import Button from '@mui/material/Button';
import { formatLength } from '../../core/units';
import type { RosterFinding, RosterItem } from '../../core/rosters';
import type { SetTextView } from '../../views/letterings';
import { describeFit } from '../../wording/lettering';
import { describeFinding } from '../../wording/rosters';
import { useSettings } from '../shared/settings';
import { VirtualBody } from '../shared/VirtualBody';
import { keyOfText, type EditedRow, type RosterState } from './use-roster';

type Props = { readonly roster: RosterState; readonly item: RosterItem };
const ROW_PX = 64;

export function RosterTable({ roster, item }: Props) {
  const { rows } = roster;
  const columns = item.letterings.length + Number(item.sizes.length > 1) + Number(item.colours.length > 1) + 4;
  return (
    <div className="scrolls roster" tabIndex={0} role="region" aria-label="Names">
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">line</th>
            {item.letterings.map(({ label }) => (
              <th key={label} scope="col">
                {label}
              </th>
            ))}
            {item.sizes.length > 1 && <th scope="col">size</th>}
            {item.colours.length > 1 && <th scope="col">colour</th>}
            <th scope="col">as it is cut</th>
            <th scope="col">look at</th>
            <th scope="col">
              <span className="visually-hidden">remove</span>
            </th>
          </tr>
        </thead>
        <VirtualBody
          count={rows.length}
          columns={columns}
          heightOf={() => ROW_PX}
          empty="Nobody is on the list."
          render={(at) => <Row key={rows[at]!.line} row={rows[at]!} roster={roster} item={item} />}
        />
      </table>
    </div>
  );
}

type RowProps = Props & { readonly row: EditedRow };

function Row({ row, roster, item }: RowProps) {
  const { line } = row;
  const change = (part: Partial<EditedRow>) => roster.change(line, part);
  const findings = roster.findings.filter((finding) => finding.line === line);
  return (
    <tr className={roster.blocked.has(line) ? 'blocked' : undefined}>
      <td className="num soft">{line}</td>
      {item.letterings.map(({ label, kind }) => (
        <td key={label}>
          <input
            className={kind === 'number' ? 'cell' : 'cell wide-cell'}
            aria-label={`${label}, line ${line}`}
            value={row.texts[label] ?? ''}
            spellCheck={false}
            onChange={(event) => change({ texts: { ...row.texts, [label]: event.target.value } })}
          />
          {(row.given[label] ?? '') !== '' && row.given[label] !== row.texts[label] && (
            <div className="soft small">written: “{row.given[label]}”</div>
          )}
        </td>
      ))}
      {item.sizes.length > 1 && (
        <td>
          <NameCell
            label={`Size, line ${line}`}
            names={item.sizes}
            value={row.sizeName}
            onChange={(sizeName) => change({ sizeName })}
          />
        </td>
      )}
      {item.colours.length > 1 && (
        <td>
          <NameCell
            label={`Colour, line ${line}`}
            names={item.colours}
            value={row.colourName}
            onChange={(colourName) => change({ colourName })}
          />
        </td>
      )}
      <td>
        <div className="set-texts">
          {item.letterings.map(({ label }) => (
            <SetCell
              key={label}
              label={label}
              set={roster.set.get(keyOfText(row, label))}
              isSmaller={row.smaller.includes(label)}
              onSmaller={(on) =>
                change({ smaller: on ? [...row.smaller, label] : row.smaller.filter((one) => one !== label) })
              }
            />
          ))}
        </div>
      </td>
      <td>
        {findings.map((finding) => (
          <FindingLine
            key={`${finding.label} ${finding.kind}`}
            finding={finding}
            onFix={(becomes) => change({ texts: { ...row.texts, [finding.label!]: becomes } })}
            onKeep={() => roster.keep(finding)}
          />
        ))}
        {row.note && <div className="soft small">{row.note}</div>}
      </td>
      <td>
        <Button size="small" variant="text" aria-label={`Remove row ${line}`} onClick={() => roster.remove(line)}>
          Remove
        </Button>
      </td>
    </tr>
  );
}

type NameCellProps = {
  readonly label: string;
  readonly names: readonly string[];
  readonly value: string;
  readonly onChange: (name: string) => void;
};

function NameCell({ label, names, value, onChange }: NameCellProps) {
  const isKnown = names.includes(value);
  return (
    <select
      className="cell"
      aria-label={label}
      aria-invalid={!isKnown}
      value={value}
      onChange={(event) => onChange(event.target.value)}
    >
      {!isKnown && <option value={value}>{value ? `“${value}”?` : 'choose'}</option>}
      {names.map((name) => (
        <option key={name} value={name}>
          {name}
        </option>
      ))}
    </select>
  );
}

type SetCellProps = {
  readonly label: string;
  readonly set: SetTextView | undefined;
  readonly isSmaller: boolean;
  readonly onSmaller: (on: boolean) => void;
};

function SetCell({ label, set, isSmaller, onSmaller }: SetCellProps) {
  const settings = useSettings();
  if (!set) return null;
  if (!set.set)
    return (
      <div className="short small">
        {label}: {set.problem}{' '}
        {set.fitsSmaller && !isSmaller && (
          <Button size="small" variant="text" onClick={() => onSmaller(true)}>
            Smaller letters
          </Button>
        )}
      </div>
    );
  const { fit, href } = set;
  return (
    <div className="set-text">
      <img src={href} alt={`${label} as it is cut`} loading="lazy" />
      <span className="soft small">
        {describeFit(fit, settings)}
        {isSmaller && (
          <>
            , capitals {formatLength(fit.capHeightMm, settings, 1)}{' '}
            <Button size="small" variant="text" onClick={() => onSmaller(false)}>
              As the others
            </Button>
          </>
        )}
      </span>
    </div>
  );
}

type FindingProps = {
  readonly finding: RosterFinding;
  readonly onFix: (becomes: string) => void;
  readonly onKeep: () => void;
};

function FindingLine({ finding, onFix, onKeep }: FindingProps) {
  const { what, fix } = describeFinding(finding);
  const canKeep =
    finding.kind !== 'unknown-size' && finding.kind !== 'unknown-colour' && finding.kind !== 'hidden-letters';
  return (
    <div className="small">
      {what}
      {fix && 'becomes' in finding && (
        <Button size="small" variant="text" onClick={() => onFix(finding.becomes)}>
          {fix}
        </Button>
      )}
      {canKeep && (
        <Button size="small" variant="text" onClick={onKeep}>
          Leave it
        </Button>
      )}
    </div>
  );
}
