// Every price that a goal proposes, to be asked with one click.

import Button from '@mui/material/Button';
import { formatMoney } from '../../core/units';
import { useSettings } from '../shared/settings';
import type { PriceMark } from './price-marks';

type Props = {
  readonly marks: readonly PriceMark[];
  /** Minor units, as it is asked now. */
  readonly price: number;
  readonly onPrice: (price: number) => void;
};

export function ProposedPrices({ marks, price, onPrice }: Props) {
  const settings = useSettings();
  return (
    <div className="readings above-3" role="group" aria-label="Proposed prices">
      <span className="soft">Ask</span>
      {marks
        .filter((mark) => mark.proposed)
        .map(({ label, figure }) => (
          <Button
            key={label}
            size="small"
            variant="text"
            disabled={figure.value === price}
            aria-label={`Ask ${formatMoney(figure.value, settings)}, ${label}`}
            onClick={() => onPrice(figure.value)}
          >
            {formatMoney(figure.value, settings)}&ensp;<span className="soft">{label}</span>
          </Button>
        ))}
    </div>
  );
}
