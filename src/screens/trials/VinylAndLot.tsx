// Which vinyl, and which lot of it.

import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { LadderChoices } from '../../views/trials';
import { nameLot } from '../../wording/stock';
import { callApi } from '../shared/api';
import LookDialog from '../shared/LookDialog';

/** The first vinyls of the shelf, and lots of the one that is chosen. */
export function useVinylChoices(vinylId: number | null) {
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
  return data;
}

type Props = {
  readonly vinylId: number | null;
  /** Null for the lot that is in use. */
  readonly lotId: number | null;
  readonly onPick: (vinylId: number, lotId: number | null) => void;
};

export function VinylAndLot({ vinylId, lotId, onPick }: Props) {
  const choices = useVinylChoices(vinylId);
  const [looks, setLooks] = useState(false);
  const lots = choices?.lots ?? [];
  return (
    <>
      <TextField
        select
        size="small"
        label="Vinyl"
        value={choices ? (vinylId ?? '') : ''}
        onChange={({ target }) => (target.value === 'look' ? setLooks(true) : onPick(Number(target.value), null))}
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
        value={lots.length > 0 ? (lotId ?? lots[0]?.id ?? '') : ''}
        disabled={lots.length === 0}
        helperText={vinylId !== null && choices && lots.length === 0 ? 'None on the book: it is cut all the same.' : ''}
        onChange={({ target }) => onPick(vinylId!, Number(target.value))}
      >
        {lots.map((one) => (
          <MenuItem key={one.id} value={one.id}>
            {nameLot(one)}
            {one.remark && `: ${one.remark}`}
          </MenuItem>
        ))}
      </TextField>
      {looks && (
        <LookDialog
          kind="vinyl"
          onClose={() => setLooks(false)}
          onPicked={(id) => {
            setLooks(false);
            onPick(id, null);
          }}
        />
      )}
    </>
  );
}
