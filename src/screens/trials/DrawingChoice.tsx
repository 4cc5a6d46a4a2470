// Which of the shop's drawings: the first of them, and the way to all others.

import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { callApi } from '../shared/api';
import LookDialog from '../shared/LookDialog';

export type ChosenDrawing = { readonly id: number; readonly name: string };
type Props = { readonly drawing: ChosenDrawing | null; readonly onPick: (drawing: ChosenDrawing) => void };

export function DrawingChoice({ drawing, onPick }: Props) {
  const [looks, setLooks] = useState(false);
  const { data } = useQuery({
    queryKey: ['names', 'artwork', ''],
    queryFn: ({ signal }) => callApi<readonly ChosenDrawing[]>('GET', '/api/names?kind=artwork&q=', undefined, signal),
  });
  const listed = [...(drawing && !data?.some(({ id }) => id === drawing.id) ? [drawing] : []), ...(data ?? [])];
  const pick = async (id: number) => {
    setLooks(false);
    const known = listed.find((one) => one.id === id);
    const name = known?.name ?? (await callApi<{ name: string }>('GET', `/api/artwork/${id}`)).name;
    onPick({ id, name });
  };
  return (
    <>
      <TextField
        select
        size="small"
        label="Drawing"
        value={drawing?.id ?? ''}
        onChange={({ target }) => (String(target.value) === 'look' ? setLooks(true) : void pick(Number(target.value)))}
      >
        {listed.map(({ id, name }) => (
          <MenuItem key={id} value={id}>
            {name}
          </MenuItem>
        ))}
        <MenuItem value="look">Look for a drawing…</MenuItem>
      </TextField>
      {looks && <LookDialog kind="artwork" onClose={() => setLooks(false)} onPicked={(id) => void pick(id)} />}
    </>
  );
}
