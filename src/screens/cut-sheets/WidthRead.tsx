// What the machine reads when the stock is loaded: where it is another width than the label's, the lot takes it.

import Button from '@mui/material/Button';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import type { LotChoice } from '../../core/orders';
import { formatLength } from '../../core/units';
import { callApi, wordsOf } from '../shared/api';
import { NumberInput } from '../shared/NumberInput';
import { useSettings } from '../shared/settings';
import { enqueueSnackbar } from '../shared/snackbar';

type Props = {
  readonly lot: LotChoice;
  /** The stock is another now: what is laid out begins anew. */
  readonly onRead: () => void;
};

export function WidthRead({ lot, onRead }: Props) {
  const settings = useSettings();
  const [widthMm, setWidthMm] = useState(lot.widthMm);
  const read = useMutation({
    mutationFn: () => callApi<{ wasMm: number }>('POST', `/api/stock/${lot.lotId}/width`, { widthMm }),
    onSuccess: ({ wasMm }) => {
      enqueueSnackbar(
        widthMm < wasMm
          ? `${formatLength(wasMm - widthMm, settings)} narrower than the book said: laid out anew.`
          : `The lot is ${formatLength(widthMm, settings)} wide now.`,
      );
      onRead();
    },
    onError: (error) => enqueueSnackbar(wordsOf(error), { variant: 'error' }),
  });
  return (
    <div className="actions middle">
      <span className="narrow-field">
        <NumberInput shown label="The machine reads" unit="mm" value={widthMm} least={10} onChange={setWidthMm} />
      </span>
      <Button size="small" disabled={widthMm === lot.widthMm || read.isPending} onClick={() => read.mutate()}>
        Keep it with the lot
      </Button>
    </div>
  );
}
