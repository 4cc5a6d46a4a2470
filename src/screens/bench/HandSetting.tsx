// Cut without a saved load, with another setting than the one that is known best: said here, it stays with the work.

import Button from '@mui/material/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { isSameSetting, type CutSetting } from '../../core/cutting';
import type { RunningSession } from '../../views/frame';
import { callApi, wordsOf } from '../shared/api';
import { SettingFields } from '../shared/SettingFields';
import { enqueueSnackbar } from '../shared/snackbar';

type Props = { readonly sessionId: number; readonly hand: RunningSession['byHand'][number] };

export default function HandSetting({ sessionId, hand: { vinylId, setting } }: Props) {
  const client = useQueryClient();
  const [own, setOwn] = useState<CutSetting>(setting);
  const sent = useMutation({
    mutationFn: () => callApi('PUT', `/api/work-sessions/${sessionId}/setting`, { vinylId, setting: own }),
    onSuccess: () => {
      enqueueSnackbar('Kept with this work.');
      void client.invalidateQueries();
    },
    onError: (error) => enqueueSnackbar(wordsOf(error), { variant: 'error' }),
  });
  return (
    <details className="above-2">
      <summary>Cut with another setting</summary>
      <SettingFields setting={own} onSetting={setOwn} />
      <div className="actions above-2">
        <Button
          variant="outlined"
          disabled={sent.isPending || isSameSetting(own, setting)}
          onClick={() => sent.mutate()}
        >
          It is cut with this
        </Button>
      </div>
    </details>
  );
}
