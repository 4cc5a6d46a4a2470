// Later looks at something pressed: planned by day, and what was seen.

import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { formatDay } from '../../core/units';
import type { LaterPlan } from '../../views/trials';
import { LOOK_WORDS } from '../../wording/recipes';
import { describeReason } from '../../wording/side-by-side';
import { callApi, wordsOf } from './api';
import { Failure } from './Failure';
import { SeeLater } from './SeeLater';
import { useSettings } from './settings';
import { useSendOnce } from './use-send-once';
import { enqueueSnackbar } from './snackbar';

type Props = {
  readonly of: { readonly orderId: number } | { readonly candidateId: number };
  /** What was seen may change what is said of it elsewhere. */
  readonly onChanged?: () => void;
};

export default function LaterPanel({ of, onChanged }: Props) {
  const settings = useSettings();
  const [planning, setPlanning] = useState(false);
  const [open, setOpen] = useState<number | null>(null);
  const asked = 'orderId' in of ? `order=${of.orderId}` : `candidate=${of.candidateId}`;
  const { data, error, refetch } = useQuery({
    queryKey: ['later', asked],
    queryFn: ({ signal }) => callApi<LaterPlan>('GET', `/api/later-looks?${asked}`, undefined, signal),
  });
  const changed = () => {
    void refetch();
    onChanged?.();
  };
  if (error) return <Failure>{wordsOf(error)}</Failure>;
  if (!data) return null;
  const { later, proposed } = data;
  return (
    <div className="above-3">
      {later.length > 0 && (
        <ul className="later-looks" aria-label="Later looks">
          {later.map((row) => (
            <li key={row.id}>
              {describeReason(row.reason, row.washes)}
              {later.some(({ vinylName }) => vinylName !== row.vinylName) && ` (${row.vinylName})`}:{' '}
              {row.seen ? (
                <strong>{LOOK_WORDS[row.seen.kind]}</strong>
              ) : (
                <>
                  {formatDay(row.dueDay, settings)}{' '}
                  <button className="quiet" onClick={() => setOpen(open === row.id ? null : row.id)}>
                    seen already
                  </button>{' '}
                  <Forget id={row.id} onChanged={changed} />
                </>
              )}
              {open === row.id && !row.seen && <SeeLater row={row} onChanged={changed} />}
            </li>
          ))}
        </ul>
      )}
      {planning ? (
        <PlanLooks
          of={of}
          proposed={proposed}
          onCancel={() => setPlanning(false)}
          onDone={() => {
            setPlanning(false);
            changed();
          }}
        />
      ) : (
        <Button size="small" onClick={() => setPlanning(true)}>
          Look at it later…
        </Button>
      )}
    </div>
  );
}

function Forget({ id, onChanged }: { readonly id: number; readonly onChanged: () => void }) {
  const forget = async () => {
    try {
      await callApi('DELETE', `/api/later-looks/${id}`);
      onChanged();
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
    }
  };
  return (
    <button className="quiet" onClick={() => void forget()}>
      leave it out
    </button>
  );
}

type PlanProps = Pick<Props, 'of'> & {
  readonly proposed: LaterPlan['proposed'];
  readonly onCancel: () => void;
  readonly onDone: () => void;
};

function PlanLooks({ of, proposed, onCancel, onDone }: PlanProps) {
  const settings = useSettings();
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set(proposed.keys()));
  const send = useSendOnce();
  const plan = async () => {
    try {
      await send('POST', '/api/later-looks', { ...of, looks: proposed.filter((_, at) => chosen.has(at)) });
      onDone();
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
    }
  };
  const toggle = (at: number, on: boolean) => {
    const next = new Set(chosen);
    if (on) next.add(at);
    else next.delete(at);
    setChosen(next);
  };
  return (
    <fieldset className="bare pad-0">
      <legend className="soft pad-0">Told on Today when its day comes</legend>
      {proposed.map(({ reason, washes, dueDay }, at) => (
        <div key={at}>
          <FormControlLabel
            control={<Checkbox size="small" checked={chosen.has(at)} onChange={(_, on) => toggle(at, on)} />}
            label={`${describeReason(reason, washes)}: ${formatDay(dueDay, settings)}`}
          />
        </div>
      ))}
      <div className="actions">
        <Button size="small" onClick={onCancel}>
          Cancel
        </Button>
        <Button size="small" variant="contained" disabled={chosen.size === 0} onClick={() => void plan()}>
          Remind me
        </Button>
      </div>
    </fieldset>
  );
}
