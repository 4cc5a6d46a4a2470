// It was so much, now it is so much, because: what moved a cost since it was last agreed to.

import Button from '@mui/material/Button';
import { useState } from 'react';
import type { CostChange } from '../../core/costing';
import { formatInstant, formatMoney } from '../../core/units';
import { describeCauses } from '../../wording/cost-change';
import { callApi, wordsOf } from '../shared/api';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import { enqueueSnackbar } from '../shared/snackbar';

export function ChangeNotice({ itemId, change, sinceMs }: { itemId: number; change: CostChange; sinceMs: number }) {
  const settings = useSettings();
  const [accepted, setAccepted] = useState(false);
  if (accepted) return null;
  const note = async () => {
    try {
      await callApi('POST', `/api/items/${itemId}/accepted-cost`);
      setAccepted(true);
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
    }
  };
  return (
    <div className="notice below-4 row gap-4 middle apart" role="status">
      <span>
        <strong>
          One cost {formatMoney(change.was, settings)} on {formatInstant(sinceMs, settings)}, now{' '}
          <Why figure={change.now} />
        </strong>
        {describeCauses(change, settings)}
      </span>
      <Button size="small" onClick={() => void note()}>
        Accept the new cost
      </Button>
    </div>
  );
}
