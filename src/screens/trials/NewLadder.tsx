// A ladder is begun: on which vinyl, which lot, with which figure.

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { FIGURE_RANGE, TEST_FIGURES, type TestFigure } from '../../core/cutting';
import type { LadderChoices } from '../../views/trials';
import { nameLot } from '../../wording/stock';
import { FIGURE_WORDS } from '../../wording/trials';
import { callApi, createByApi, wordsOf } from '../shared/api';
import LookDialog from '../shared/LookDialog';
import { NumberInput } from '../shared/NumberInput';

type Props = { readonly vinylId: number | null; readonly onClose: () => void };
type Wish = {
  readonly vinylId: number | null;
  /** Null for the lot that is in use. */
  readonly lotId: number | null;
  readonly figure: TestFigure;
  readonly sideMm: number;
};

export default function NewLadder({ vinylId: asked, onClose }: Props) {
  const [wish, setWish] = useState<Wish>({
    vinylId: asked,
    lotId: null,
    figure: 'square',
    sideMm: FIGURE_RANGE.leastMm,
  });
  const { vinylId } = wish;
  const [looks, setLooks] = useState(false);
  const [failure, setFailure] = useState<string | null>(null);
  const { data } = useQuery({
    queryKey: ['ladder-choices', vinylId],
    queryFn: ({ signal }) =>
      callApi<LadderChoices>(
        'GET',
        `/api/ladders/choices${vinylId === null ? '' : `?vinyl=${vinylId}`}`,
        undefined,
        signal,
      ),
  });
  const begin = async () => {
    try {
      const body = { ...wish, lotId: wish.lotId ?? data?.lots[0]?.id ?? null };
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
        <LadderFields wish={wish} onWish={setWish} choices={data} onLook={() => setLooks(true)} />
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
        <Button variant="contained" disabled={vinylId === null || !data} onClick={() => void begin()}>
          Begin
        </Button>
      </DialogActions>
      {looks && (
        <LookDialog
          kind="vinyl"
          onClose={() => setLooks(false)}
          onPicked={(id) => {
            setLooks(false);
            setWish({ ...wish, vinylId: id, lotId: null });
          }}
        />
      )}
    </Dialog>
  );
}

type FieldsProps = {
  readonly wish: Wish;
  readonly onWish: (wish: Wish) => void;
  readonly choices: LadderChoices | undefined;
  readonly onLook: () => void;
};

function LadderFields({ wish, onWish, choices, onLook }: FieldsProps) {
  const { vinylId, lotId, figure, sideMm } = wish;
  const lots = choices?.lots ?? [];
  const chooseVinyl = (value: string | number) =>
    value === 'look' ? onLook() : onWish({ ...wish, vinylId: Number(value), lotId: null });
  return (
    <div className="fields pad-top-2">
      <TextField
        select
        size="small"
        label="Vinyl"
        value={vinylId ?? ''}
        onChange={({ target }) => chooseVinyl(target.value)}
      >
        {(choices?.vinyls ?? []).map(({ id, name }) => (
          <MenuItem key={id} value={id}>
            {name}
          </MenuItem>
        ))}
        <MenuItem value="look">Look for a vinyl…</MenuItem>
      </TextField>
      <TextField
        select
        size="small"
        label="Lot"
        value={lotId ?? lots[0]?.id ?? ''}
        disabled={lots.length === 0}
        helperText={vinylId !== null && choices && lots.length === 0 ? 'None on the book: it is cut all the same.' : ''}
        onChange={({ target }) => onWish({ ...wish, lotId: Number(target.value) })}
      >
        {lots.map((one) => (
          <MenuItem key={one.id} value={one.id}>
            {nameLot(one)}
            {one.remark && `: ${one.remark}`}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        size="small"
        label="Figure"
        value={figure}
        onChange={({ target }) => onWish({ ...wish, figure: target.value as TestFigure })}
      >
        {TEST_FIGURES.map((one) => (
          <MenuItem key={one} value={one}>
            {FIGURE_WORDS[one]}
          </MenuItem>
        ))}
      </TextField>
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
