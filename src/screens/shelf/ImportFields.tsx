// A price list before it is taken over: where it comes from, what its columns mean, and what would change.

import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import DialogContent from '@mui/material/DialogContent';
import FormControlLabel from '@mui/material/FormControlLabel';
import LinearProgress from '@mui/material/LinearProgress';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { LIST_COLUMNS, type ColumnMatch, type ListColumn } from '../../core/buying';
import type { ListPreview, SupplierView } from '../../views/offers';
import { COLUMN_WORDS, describeLineProblem } from '../../wording/price-lists';
import { fetchFile } from '../shared/api';
import { LINES_SHOWN, Changes } from './ListChanges';
import { Failure } from '../shared/Failure';

export type Facts = {
  readonly match: ColumnMatch | null;
  readonly decimal: '' | ',' | '.';
  readonly lengthUnit: 'mm' | 'cm' | 'm' | 'in';
  readonly dropMissing: boolean;
};
export const START: Facts = { match: null, decimal: '', lengthUnit: 'mm', dropMissing: false };

/** A column of the file means one thing: chosen anew, it is taken from what it meant before. */
function withColumn(match: ColumnMatch, name: ListColumn, index: number): ColumnMatch {
  const own = index === -1 ? null : index;
  return Object.fromEntries(
    LIST_COLUMNS.map((column) => [column, column === name ? own : match[column] === own ? null : match[column]]),
  ) as ColumnMatch;
}

type ImportFieldsProps = {
  readonly chooser: React.RefObject<HTMLInputElement | null>;
  readonly supplier: SupplierView;
  readonly run: (work: () => Promise<void>) => Promise<void>;
  readonly look: (blob: Blob, name: string, asked: Facts) => Promise<void>;
  readonly busy: boolean;
  readonly failure: string | null;
  readonly preview: ListPreview | null;
  readonly change: (part: Partial<Facts>) => null | undefined;
  readonly facts: Facts;
};

export function ImportFields({
  chooser,
  supplier,
  run,
  look,
  busy,
  failure,
  preview,
  change,
  facts,
}: ImportFieldsProps) {
  return (
    <DialogContent>
      <div className="cols">
        <ListSource chooser={chooser} supplier={supplier} run={run} look={look} />
        <input
          ref={chooser}
          type="file"
          accept=".csv,.txt,text/csv"
          className="visually-hidden"
          tabIndex={-1}
          aria-label="Price list file"
          onChange={(event) => {
            const [chosen] = event.target.files ?? [];
            if (chosen) void look(chosen, chosen.name, START);
            event.target.value = '';
          }}
        />
        {busy && <LinearProgress aria-label="Reading the list" />}
        {failure && <Failure>{failure}</Failure>}
        {!preview && !busy && !failure && (
          <p className="soft flat">
            Columns parted by semicolons, commas or tabs, with decimal commas or points. Nothing changes until you have
            seen what would.
          </p>
        )}
        {preview && (
          <>
            <ColumnMatching preview={preview} change={change} facts={facts} />
            <WhatChanges preview={preview} />
            {preview.unreadable.length > 0 && (
              <ul className="checks" aria-label="Unreadable lines">
                {preview.unreadable.slice(0, LINES_SHOWN).map((line) => (
                  <li key={`${line.line}-${line.column}`}>
                    <div>
                      <strong>Line {line.line}</strong>
                      <span>{describeLineProblem(line)}</span>
                    </div>
                  </li>
                ))}
              </ul>
            )}
            <Changes changes={[...preview.changed, ...preview.fresh]} />
            {preview.gone.length > 0 && (
              <FormControlLabel
                control={
                  <Checkbox checked={facts.dropMissing} onChange={(_, dropMissing) => change({ dropMissing })} />
                }
                label={`Take the ${preview.gone.length} that are not in this list off the offers`}
              />
            )}
          </>
        )}
      </div>
    </DialogContent>
  );
}

type WhatChangesProps = {
  readonly preview: ListPreview;
};

function WhatChanges({ preview }: WhatChangesProps) {
  return (
    <p aria-live="polite" className="flat">
      <strong>
        {preview.fresh.length} new, {preview.changed.length} changed, {preview.same} as before,{' '}
        {preview.unreadable.length} unreadable.
      </strong>
      {preview.unmatched.length > 0 && (
        <span className="soft">
          {' '}
          Not on your shelf, and matched later by hand: {preview.unmatched.slice(0, 6).join('; ')}
          {preview.unmatched.length > 6 && ' …'}.
        </span>
      )}
    </p>
  );
}

type ListSourceProps = {
  readonly chooser: React.RefObject<HTMLInputElement | null>;
  readonly supplier: SupplierView;
  readonly run: (work: () => Promise<void>) => Promise<void>;
  readonly look: (blob: Blob, name: string, asked: Facts) => Promise<void>;
};

/** Where a list comes from: a file, or the simulated supplier itself. */
function ListSource({ chooser, supplier, run, look }: ListSourceProps) {
  return (
    <div className="actions">
      <Button onClick={() => chooser.current?.click()}>Choose a CSV file</Button>
      {supplier.simulated && (
        <Button
          onClick={() =>
            void run(async () =>
              look(await fetchFile(`/api/suppliers/${supplier.id}/list`), `${supplier.name}, simulated`, START),
            )
          }
        >
          Fetch its newest list
        </Button>
      )}
    </div>
  );
}

type ColumnMatchingProps = {
  readonly preview: ListPreview;
  readonly change: (part: Partial<Facts>) => null | undefined;
  readonly facts: Facts;
};

function ColumnMatching({ preview, change, facts }: ColumnMatchingProps) {
  return (
    <div className="fields" role="group" aria-label="Columns">
      {LIST_COLUMNS.map((name) => (
        <TextField
          key={name}
          select
          size="small"
          label={COLUMN_WORDS[name]}
          value={preview.match[name] ?? -1}
          error={preview.missingColumns.includes(name)}
          helperText={preview.missingColumns.includes(name) ? 'Which column is it?' : undefined}
          onChange={(event) => change({ match: withColumn(preview.match, name, Number(event.target.value)) })}
        >
          <MenuItem value={-1}>none</MenuItem>
          {preview.header.map((title, index) => (
            <MenuItem key={index} value={index}>
              {title || `column ${index + 1}`}
            </MenuItem>
          ))}
        </TextField>
      ))}
      <TextField
        select
        size="small"
        label="Decimals"
        value={preview.decimal}
        onChange={(event) => change({ decimal: event.target.value as ',' | '.' })}
      >
        <MenuItem value=",">1.234,50</MenuItem>
        <MenuItem value=".">1,234.50</MenuItem>
      </TextField>
      <TextField
        select
        size="small"
        label="Lengths without a unit"
        value={facts.lengthUnit}
        onChange={(event) => change({ lengthUnit: event.target.value as Facts['lengthUnit'] })}
      >
        {(['mm', 'cm', 'm', 'in'] as const).map((unit) => (
          <MenuItem key={unit} value={unit}>
            {unit}
          </MenuItem>
        ))}
      </TextField>
    </div>
  );
}
