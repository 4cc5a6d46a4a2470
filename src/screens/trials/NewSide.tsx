// A trial side by side is begun: what differs, with which drawing, how large, how many of each.

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { FABRIC_NAMES, FABRICS, type Fabric } from '../../core/materials';
import { CANDIDATES, SIDE_AXES, type SideAxis } from '../../core/trials';
import { AXIS_WORDS } from '../../wording/side-by-side';
import { wordsOf } from '../shared/api';
import { NumberInput } from '../shared/NumberInput';
import { useSendOnce } from '../shared/use-send-once';
import { WidthField } from '../artwork/WidthField';
import { DrawingChoice, type ChosenDrawing } from './DrawingChoice';
import { VinylAndLot } from './VinylAndLot';

type Candidate = { readonly vinylId: number | null; readonly lotId: number | null; readonly label: string };
type Wish = {
  readonly name: string;
  readonly axis: SideAxis;
  readonly artwork: ChosenDrawing | null;
  /** Null while what is typed is no length. */
  readonly widthMm: number | null;
  readonly pieces: number;
  readonly fabric: Fabric;
  readonly candidates: readonly Candidate[];
};
const EMPTY: Candidate = { vinylId: null, lotId: null, label: '' };
const START: Wish = {
  name: '',
  axis: 'vinyl',
  artwork: null,
  widthMm: 100,
  pieces: 5,
  fabric: 'cotton',
  candidates: [EMPTY, EMPTY],
};

/** Along other lines than vinyls the first one's vinyl is that of all. */
const listCandidates = ({ axis, candidates }: Wish): readonly Candidate[] =>
  axis === 'vinyl'
    ? candidates.map((one) => ({ ...one, label: '' }))
    : candidates.map(({ label }) => ({ ...candidates[0]!, label }));

const isComplete = (wish: Wish): boolean =>
  wish.artwork !== null &&
  wish.widthMm !== null &&
  listCandidates(wish).every(
    ({ vinylId, label }) => vinylId !== null && (wish.axis === 'vinyl' || label.trim() !== ''),
  );

export default function NewSide({ onClose }: { readonly onClose: () => void }) {
  const [wish, setWish] = useState<Wish>(START);
  const [failure, setFailure] = useState<string | null>(null);
  const send = useSendOnce();
  const begin = async () => {
    const { artwork, name, ...rest } = wish;
    const body = {
      ...rest,
      name: name.trim() || `${artwork!.name}, ${AXIS_WORDS[wish.axis].several.toLowerCase()}`,
      artworkId: artwork!.id,
      candidates: listCandidates(wish),
    };
    try {
      const { id } = await send<{ id: number }>('POST', '/api/sides', body);
      window.location.assign(`/trials/side/${id}`);
    } catch (error) {
      setFailure(wordsOf(error));
    }
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="side-title">
      <DialogTitle id="side-title">Try several side by side</DialogTitle>
      <DialogContent className="cols">
        <WhatIsMade wish={wish} onWish={setWish} />
        <Candidates wish={wish} onWish={setWish} />
        {failure && (
          <p role="alert" className="short flat">
            {failure}
          </p>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" disabled={!isComplete(wish)} onClick={() => void begin()}>
          Begin
        </Button>
      </DialogActions>
    </Dialog>
  );
}

type PartProps = { readonly wish: Wish; readonly onWish: (wish: Wish) => void };

function WhatIsMade({ wish, onWish }: PartProps) {
  const { name, axis, widthMm, pieces, fabric } = wish;
  return (
    <>
      <div className="fields pad-top-2">
        <TextField
          select
          size="small"
          label="What differs"
          value={axis}
          onChange={({ target }) => onWish({ ...wish, axis: target.value as SideAxis })}
        >
          {SIDE_AXES.map((one) => (
            <MenuItem key={one} value={one}>
              {AXIS_WORDS[one].several}
            </MenuItem>
          ))}
        </TextField>
        <DrawingChoice drawing={wish.artwork} onPick={(artwork) => onWish({ ...wish, artwork })} />
        <TextField
          size="small"
          label="Name, if it has one"
          value={name}
          onChange={({ target }) => onWish({ ...wish, name: target.value })}
        />
      </div>
      <div className="fields">
        <WidthField widthMm={widthMm} onChange={(mm) => onWish({ ...wish, widthMm: mm })} />
        <NumberInput
          shown
          whole
          label="Pieces with each"
          value={pieces}
          least={1}
          onChange={(count) => onWish({ ...wish, pieces: count })}
        />
        <TextField
          select
          size="small"
          label="On"
          value={fabric}
          onChange={({ target }) => onWish({ ...wish, fabric: target.value as Fabric })}
        >
          {FABRIC_NAMES.map((one) => (
            <MenuItem key={one} value={one}>
              {FABRICS[one].label}
            </MenuItem>
          ))}
        </TextField>
      </div>
    </>
  );
}

function Candidates({ wish, onWish }: PartProps) {
  const { axis, candidates } = wish;
  const { one } = AXIS_WORDS[axis];
  const set = (at: number, change: Partial<Candidate>) =>
    onWish({
      ...wish,
      candidates: candidates.map((candidate, index) => (index === at ? { ...candidate, ...change } : candidate)),
    });
  return (
    <>
      {candidates.map(({ vinylId, lotId, label }, at) => (
        <div key={at} className="fields" role="group" aria-label={`Candidate ${at + 1}`}>
          {(axis === 'vinyl' || at === 0) && (
            <VinylAndLot
              vinylId={vinylId}
              lotId={lotId}
              onPick={(vinyl, lot) => set(at, { vinylId: vinyl, lotId: lot })}
            />
          )}
          {axis !== 'vinyl' && (
            <TextField
              size="small"
              label={`Which ${one}`}
              value={label}
              onChange={({ target }) => set(at, { label: target.value })}
            />
          )}
          {candidates.length > CANDIDATES.least && (
            <Button
              size="small"
              aria-label={`Leave candidate ${at + 1} out`}
              onClick={() => onWish({ ...wish, candidates: candidates.filter((_, index) => index !== at) })}
            >
              Leave it out
            </Button>
          )}
        </div>
      ))}
      {candidates.length < CANDIDATES.most && (
        <div className="actions">
          <Button size="small" onClick={() => onWish({ ...wish, candidates: [...candidates, EMPTY] })}>
            One more
          </Button>
        </div>
      )}
    </>
  );
}
