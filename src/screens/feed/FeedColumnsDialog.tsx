// Which column of an order file is which, where its headings don't tell: said once, then known of all files that begin so.

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useEffect, useState } from 'react';
import { decodeList } from '../../core/buying/price-list';
import { FEED_COLUMNS, guessFeedColumns, readFeedHeader, type FeedColumn, type FeedColumns } from '../../core/feeds';
import { FEED_COLUMN_NAMES } from '../../wording/feeds';
import { ColumnChoice } from '../shared/ColumnChoice';
import type { FeedActions } from './use-feed';

type Props = { readonly file: File; readonly feed: FeedActions };
type Read = { readonly names: readonly string[]; readonly columns: FeedColumns };

export default function FeedColumnsDialog({ file, feed }: Props) {
  const [read, setRead] = useState<Read | null>(null);
  useEffect(() => {
    void file.arrayBuffer().then((bytes) => setRead(readColumns(new Uint8Array(bytes))));
  }, [file]);
  const choose = (column: FeedColumn) => (at: number | null) =>
    setRead((before) => before && { ...before, columns: { ...release(before.columns, at), [column]: at } });
  const isTold = read !== null && read.columns.order !== null && read.columns.item !== null;
  return (
    <Dialog open onClose={feed.askNoMore} fullWidth maxWidth="sm" aria-labelledby="columns-title">
      <DialogTitle id="columns-title">Which column is which?</DialogTitle>
      <DialogContent>
        <p className="soft flat below-4">
          {file.name}: each line needs its order number and its item. Any other column is read as a text of that name,
          or goes into the note. Files with the same headings won’t ask again.
        </p>
        {read && (
          <div className="own-fields">
            {FEED_COLUMNS.map((column) => (
              <ColumnChoice
                key={column}
                label={FEED_COLUMN_NAMES[column]}
                columns={read.names}
                value={read.columns[column]}
                onChange={choose(column)}
              />
            ))}
          </div>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={feed.askNoMore}>Cancel</Button>
        <Button
          variant="contained"
          disabled={!isTold || feed.isBusy}
          onClick={() => read && feed.takeFile(file, read.columns)}
        >
          Import
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** A column holds one thing: chosen anew, it is taken from what it was before. */
const release = (columns: FeedColumns, at: number | null): FeedColumns =>
  Object.fromEntries(
    Object.entries(columns).map(([column, own]) => [column, own === at ? null : own]),
  ) as unknown as FeedColumns;

function readColumns(bytes: Uint8Array): Read | null {
  const table = readFeedHeader(decodeList(bytes));
  if (!table.ok) return null;
  const { header, first } = table.value;
  const names = header.map((title, at) => (first[at] ? `${title || `column ${at + 1}`}: ${first[at]} …` : title));
  return { names, columns: guessFeedColumns(header) };
}
