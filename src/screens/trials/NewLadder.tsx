// A ladder is begun: on which vinyl, which lot, with which figure.

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { FIGURE_CHOICES, FIGURE_RANGE, type FigureChoice } from '../../core/cutting';
import { FIGURE_WORDS } from '../../wording/trials';
import { createByApi, wordsOf } from '../shared/api';
import { NumberInput } from '../shared/NumberInput';
import { DrawingChoice, type ChosenDrawing } from './DrawingChoice';
import { useVinylChoices, VinylAndLot } from './VinylAndLot';

type Props = { readonly vinylId: number | null; readonly onClose: () => void };
type Wish = {
  readonly vinylId: number | null;
  /** Null for the lot that is in use. */
  readonly lotId: number | null;
  readonly figure: FigureChoice;
  /** Cut as the figure, where it is one's own. */
  readonly drawing: ChosenDrawing | null;
  readonly sideMm: number;
};

export default function NewLadder({ vinylId: asked, onClose }: Props) {
  const [wish, setWish] = useState<Wish>({
    vinylId: asked,
    lotId: null,
    figure: 'square',
    drawing: null,
    sideMm: FIGURE_RANGE.leastMm,
  });
  const { vinylId } = wish;
  const isComplete = vinylId !== null && (wish.figure !== 'own' || wish.drawing !== null);
  const [failure, setFailure] = useState<string | null>(null);
  const choices = useVinylChoices(vinylId);
  const begin = async () => {
    try {
      const { drawing, ...rest } = wish;
      const body = { ...rest, artworkId: drawing?.id ?? null, lotId: wish.lotId ?? choices?.lots[0]?.id ?? null };
      const { id } = await createByApi<{ id: number }>('/api/ladders', body, crypto.randomUUID());
      window.location.assign(`/trials/ladder/${id}`);
    } catch (error) {
      setFailure(wordsOf(error));
    }
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="ladder-title">
      <DialogTitle id="ladder-title">Find the setting of a vinyl</DialogTitle>
      <DialogContent className="cols">
        <LadderFields wish={wish} onWish={setWish} />
        <p className="soft flat">
          Small figures are cut side by side, each with the force that tells most by then. Usually four are enough.
        </p>
        {failure && (
          <p role="alert" className="short flat">
            {failure}
          </p>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" disabled={!isComplete || !choices} onClick={() => void begin()}>
          Begin
        </Button>
      </DialogActions>
    </Dialog>
  );
}

type FieldsProps = { readonly wish: Wish; readonly onWish: (wish: Wish) => void };

function LadderFields({ wish, onWish }: FieldsProps) {
  const { vinylId, lotId, figure, drawing, sideMm } = wish;
  return (
    <div className="fields pad-top-2">
      <VinylAndLot
        vinylId={vinylId}
        lotId={lotId}
        onPick={(vinyl, lot) => onWish({ ...wish, vinylId: vinyl, lotId: lot })}
      />
      <TextField
        select
        size="small"
        label="Figure"
        value={figure}
        onChange={({ target }) => onWish({ ...wish, figure: target.value as FigureChoice })}
      >
        {FIGURE_CHOICES.map((one) => (
          <MenuItem key={one} value={one}>
            {FIGURE_WORDS[one]}
          </MenuItem>
        ))}
      </TextField>
      {figure === 'own' && (
        <DrawingChoice drawing={drawing} onPick={(picked) => onWish({ ...wish, drawing: picked })} />
      )}
      <NumberInput
        shown
        label="Side"
        unit="mm"
        value={sideMm}
        least={FIGURE_RANGE.leastMm}
        onChange={(mm) => onWish({ ...wish, sideMm: Math.min(mm, FIGURE_RANGE.mostMm) })}
      />
    </div>
  );
}
