// Which parts are spoiled, why, and whether the blank went with them.

import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { SPOILAGE_CAUSES, type RecutBits, type SpoilageCause, type Station } from '../../core/orders';
import type { BenchPartView, Spoilage } from '../../views/bench';
import { plural } from '../../wording/plural';
import { CAUSE_NAMES } from '../../wording/stations';
import { late } from '../shared/late';

const BitPicker = late(() => import('./BitPicker'));

const USUAL: Readonly<Record<Station, SpoilageCause>> = {
  cut: 'cut',
  weed: 'weeding',
  press: 'lifted',
  check: 'crooked',
};

export default function SpoilDialog({
  station,
  parts,
  onClose,
  onSpoil,
}: {
  station: Station;
  parts: readonly BenchPartView[];
  onClose: () => void;
  onSpoil: (parts: readonly BenchPartView[], spoilage: Spoilage) => void;
}) {
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set(parts.length === 1 ? [parts[0]!.partId] : []));
  const [cause, setCause] = useState<SpoilageCause>(USUAL[station]);
  const [blankLost, setBlankLost] = useState(false);
  const [recut, setRecut] = useState<RecutBits | null>(null);
  const onBlank = station === 'press' || station === 'check';
  const toggle = (id: number) => {
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    setChosen(next);
    setRecut(null);
  };
  const [only] = chosen;
  const mayBePart = chosen.size === 1 && only !== undefined && !(onBlank && blankLost);
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="spoil-title">
      <DialogTitle id="spoil-title">What is spoiled?</DialogTitle>
      <DialogContent className="cols">
        <PartChoice parts={parts} chosen={chosen} onToggle={toggle} />
        <TextField
          select
          label="Cause"
          value={cause}
          onChange={(event) => setCause(event.target.value as SpoilageCause)}
        >
          {SPOILAGE_CAUSES.map((name) => (
            <MenuItem key={name} value={name}>
              {CAUSE_NAMES[name]}
            </MenuItem>
          ))}
        </TextField>
        {onBlank && (
          <FormControlLabel
            control={<Checkbox checked={blankLost} onChange={(_, on) => setBlankLost(on)} />}
            label="The blank is lost too: every layer on it is made again"
          />
        )}
        {mayBePart && <BitPicker key={only} partId={only} value={recut} onChange={setRecut} />}
        <p className="soft flat">These parts go back to the cutter; their minutes and material stay on the order.</p>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Nothing is spoiled</Button>
        <Button
          variant="contained"
          color="error"
          disabled={chosen.size === 0}
          onClick={() =>
            onSpoil(
              parts.filter((part) => chosen.has(part.partId)),
              { cause, blankLost: onBlank && blankLost, recut: mayBePart ? recut : null },
            )
          }
        >
          {nameRecut(chosen.size, mayBePart ? recut : null)}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function nameRecut(count: number, recut: RecutBits | null): string {
  if (count > 1) return `Recut these ${count} parts`;
  return recut ? `Recut ${plural(recut.bits.length, 'bit')}` : 'Recut this part';
}

type ChoiceProps = {
  readonly parts: readonly BenchPartView[];
  readonly chosen: ReadonlySet<number>;
  readonly onToggle: (partId: number) => void;
};

function PartChoice({ parts, chosen, onToggle }: ChoiceProps) {
  return (
    <fieldset className="bare pad-0 flat">
      <legend className="soft">Parts</legend>
      <div className="pieces list-tall">
        {parts.map((part) => (
          <FormControlLabel
            key={part.partId}
            control={<Checkbox checked={chosen.has(part.partId)} onChange={() => onToggle(part.partId)} />}
            label={`${part.itemName} ${part.pieceNumber}, ${part.layerName}`}
          />
        ))}
      </div>
    </fieldset>
  );
}
