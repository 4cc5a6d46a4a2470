// A price list: its columns matched, what it would change shown first, then imported as a whole.

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogTitle from '@mui/material/DialogTitle';
import { useRef, useState } from 'react';
import type { ListPreview, SupplierView } from '../../views/offers';
import { callApi, wordsOf } from '../shared/api';
import { ImportFields, START, type Facts } from './ImportFields';
import { enqueueSnackbar } from '../shared/snackbar';

export default function ImportDialog({
  supplier,
  onClose,
  onDone,
}: {
  supplier: SupplierView;
  onClose: () => void;
  onDone: () => void;
}) {
  const [file, setFile] = useState<{ blob: Blob; name: string } | null>(null);
  const [facts, setFacts] = useState(START);
  const [preview, setPreview] = useState<ListPreview | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const chooser = useRef<HTMLInputElement>(null);
  const latest = useRef(0);
  const path = (asked: Facts) =>
    `/api/suppliers/${supplier.id}/list?${new URLSearchParams({ facts: JSON.stringify(asked) }).toString()}`;
  const run = async (work: () => Promise<void>) => {
    setBusy(true);
    setFailure(null);
    try {
      await work();
    } catch (error) {
      setFailure(wordsOf(error));
    } finally {
      setBusy(false);
    }
  };
  const look = (blob: Blob, name: string, asked: Facts) =>
    run(async () => {
      const turn = ++latest.current;
      setFile({ blob, name });
      setFacts(asked);
      const seen = await callApi<ListPreview>('POST', path(asked), blob);
      if (turn === latest.current) setPreview(seen);
    });
  const change = (part: Partial<Facts>) => file && void look(file.blob, file.name, { ...facts, ...part });
  const apply = () =>
    run(async () => {
      const { fresh, changed, dropped } = await callApi<{ fresh: number; changed: number; dropped: number }>(
        'PUT',
        path(facts),
        file!.blob,
      );
      enqueueSnackbar(`${fresh} new, ${changed} changed${dropped > 0 ? `, ${dropped} no longer offered` : ''}.`);
      onDone();
    });
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="import-title">
      <DialogTitle id="import-title">
        Price list of {supplier.name}
        {file && <span className="soft">, {file.name}</span>}
      </DialogTitle>
      <ImportFields
        chooser={chooser}
        supplier={supplier}
        run={run}
        look={look}
        busy={busy}
        failure={failure}
        preview={preview}
        change={change}
        facts={facts}
      />
      <ImportActions onClose={onClose} preview={preview} busy={busy} facts={facts} apply={apply} />
    </Dialog>
  );
}

type ImportActionsProps = {
  readonly onClose: () => void;
  readonly preview: ListPreview | null;
  readonly busy: boolean;
  readonly facts: Facts;
  readonly apply: () => Promise<void>;
};

function ImportActions({ onClose, preview, busy, facts, apply }: ImportActionsProps) {
  return (
    <DialogActions sx={{ px: 3, pb: 2 }}>
      <Button onClick={onClose}>Cancel</Button>
      <Button
        variant="contained"
        disabled={
          !preview ||
          busy ||
          preview.missingColumns.length > 0 ||
          preview.fresh.length + preview.changed.length + (facts.dropMissing ? preview.gone.length : 0) === 0
        }
        onClick={() => void apply()}
      >
        Import these prices
      </Button>
    </DialogActions>
  );
}
