// Names from a list: pasted or from a file, matched to the item's texts, checked row by row, and shown as they will be
// cut.

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import LinearProgress from '@mui/material/LinearProgress';
import TextField from '@mui/material/TextField';
import { useEffect, useState } from 'react';
import { decodeList } from '../../core/buying/price-list';
import { ORDER_ROW_LIMIT, type RosterItem } from '../../core/rosters';
import { toPercent } from '../../core/units';
import { plural, verbFor } from '../../wording/plural';
import { callApi } from '../shared/api';
import { Failure } from '../shared/Failure';
import { FileButton } from '../shared/FileButton';
import type { RosterForm } from './line-form';
import { RosterColumns } from './RosterColumns';
import { RosterTable } from './RosterTable';
import { useRoster, type RosterState } from './use-roster';

type Props = {
  readonly itemName: string;
  readonly item: RosterItem;
  readonly usual: { readonly sizeName: string; readonly colourName: string };
  readonly start: RosterForm | null;
  readonly onClose: () => void;
  readonly onTake: (roster: RosterForm) => void;
};

export default function RosterDialog({ itemName, item, usual, start, onClose, onTake }: Props) {
  const roster = useRoster({ item, usual, start });
  const typeface = item.letterings[0]?.typeface ?? '';
  useEffect(() => void callApi('GET', `/api/letterings?typeface=${typeface}`).catch(() => undefined), [typeface]);
  const [isPasting, setPasting] = useState(start === null || start.rows.length === 0);
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="lg" aria-labelledby="roster-title">
      <DialogTitle id="roster-title">Names for {itemName}</DialogTitle>
      <DialogContent className="cols">
        {isPasting ? (
          <PasteList roster={roster} item={item} onRead={() => setPasting(false)} />
        ) : (
          <>
            <RosterVerdict roster={roster} />
            <RosterColumns roster={roster} item={item} />
            <RosterTable roster={roster} item={item} />
            <div className="actions">
              <Button size="small" onClick={roster.add}>
                Add a row
              </Button>
              <Button size="small" variant="text" onClick={() => setPasting(true)}>
                Paste another list
              </Button>
            </div>
          </>
        )}
        {roster.failure && (
          <Failure>
            {roster.failure}{' '}
            <Button size="small" variant="text" onClick={roster.again}>
              Try again
            </Button>
          </Failure>
        )}
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2 }}>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" disabled={isPasting || !canBeTaken(roster)} onClick={() => onTake(roster.toForm())}>
          Take {plural(roster.rows.length, 'piece')}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

const canBeTaken = ({ rows, blocked, missing }: RosterState): boolean =>
  rows.length > 0 && rows.length <= ORDER_ROW_LIMIT && blocked.size === 0 && missing === 0;

type PasteProps = { readonly roster: RosterState; readonly item: RosterItem; readonly onRead: () => void };

function PasteList({ roster, item, onRead }: PasteProps) {
  const [text, setText] = useState(roster.source);
  const read = (source: string) => {
    roster.open(source);
    if (source.trim() !== '') onRead();
  };
  const example = item.letterings.map(({ kind, sample }) => (kind === 'number' ? '7' : sample)).join(' ');
  return (
    <>
      <p className="flat">
        Paste the customer’s message, cells from a table, or the text of a CSV file: any columns, in any order. It is
        kept word for word.
      </p>
      <TextField
        label="The list"
        placeholder={`${example} ${item.sizes[0] ?? ''}`.trim()}
        multiline
        // One that grows with its text takes half a minute to hold a list of thousands.
        rows={12}
        value={text}
        onChange={(event) => setText(event.target.value)}
        autoFocus
        fullWidth
        slotProps={{ htmlInput: { spellCheck: false, className: 'figures' } }}
      />
      <div className="actions">
        <Button variant="contained" onClick={() => read(text)}>
          Read the list
        </Button>
        <FileButton
          label="File with names"
          accept=".csv,.txt,.tsv,text/csv,text/plain"
          onFile={(file) => void file.arrayBuffer().then((bytes) => read(decodeList(new Uint8Array(bytes))))}
        >
          From a file…
        </FileButton>
        {roster.rows.length > 0 && (
          <Button variant="text" onClick={onRead}>
            Back to the rows
          </Button>
        )}
      </div>
    </>
  );
}

function RosterVerdict({
  roster: { rows, findings, blocked, missing, asking, set },
}: {
  readonly roster: RosterState;
}) {
  const asked = new Set(findings.map(({ line }) => line)).size;
  return (
    <div role="status" aria-live="polite">
      <p className="flat text-large">
        {plural(rows.length, 'piece')}
        {blocked.size > 0
          ? `: ${plural(blocked.size, 'row')} can’t be made as ${verbFor(blocked.size, 'it stands', 'they stand')}.`
          : asked > 0
            ? `: look at ${plural(asked, 'row')} before you take ${verbFor(rows.length, 'it', 'them')}.`
            : ': nothing looks wrong.'}
      </p>
      {rows.length > ORDER_ROW_LIMIT && (
        <p className="short flat above-1">
          One order holds {ORDER_ROW_LIMIT} pieces of a list: take this one as{' '}
          {plural(Math.ceil(rows.length / ORDER_ROW_LIMIT), 'order')}, each with its part of the list.
        </p>
      )}
      {missing > 0 && (
        <div className="actions">
          <LinearProgress
            className="grow"
            aria-label="Setting the texts"
            variant="determinate"
            value={toPercent(set.size / (set.size + missing))}
          />
          <span className="soft">{missing} to be set</span>
          {asking.stopped ? (
            <Button size="small" variant="text" onClick={asking.again}>
              Go on
            </Button>
          ) : (
            <Button size="small" variant="text" onClick={asking.stop}>
              Stop
            </Button>
          )}
        </div>
      )}
    </div>
  );
}
