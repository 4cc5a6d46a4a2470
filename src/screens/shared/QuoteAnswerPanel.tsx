// What a quick quote answers: cost, price, what an hour earns, when it can be ready, and what to buy first.

import Button from '@mui/material/Button';
import { formatDay, formatMoney, type Figure } from '../../core/units';
import type { QuoteAnswer } from '../../views/quotes';
import { describeToBuy } from '../../wording/quotes';
import { InTheWay } from './InTheWay';
import { useNumbers } from './use-numbers';
import { useSettings } from './settings';
import { Why } from './Why';

type Props = {
  readonly answer: QuoteAnswer;
  readonly busy: boolean;
  /** Takes a proposed price, as it is typed. */
  readonly onAsk: (each: string) => void;
};

export function QuoteAnswerPanel({ answer, busy, onAsk }: Props) {
  const settings = useSettings();
  const { hourEarns } = answer;
  const underpaid = hourEarns !== null && hourEarns.value < settings.shop.figures.wagePerHour;
  return (
    <div className={`cols gap-2 ${busy ? 'fading' : ''}`} aria-live="polite">
      <div className="readings">
        <Reading label="one costs" figure={answer.cost} />
        <Reading label="asked" figure={answer.each} />
        <Reading label="total" figure={answer.total} />
        {hourEarns && (
          <span className={underpaid ? 'short' : ''}>
            <Reading label="an hour earns" figure={hourEarns} />
          </span>
        )}
      </div>
      <div className="readings soft">
        <ProposedPrice label="floor" figure={answer.floor} onAsk={onAsk} />
        <ProposedPrice label="for your wage" figure={answer.forWage} onAsk={onAsk} />
        <ProposedPrice label="for your margin" figure={answer.forMargin} onAsk={onAsk} />
      </div>
      <InTheWay findings={answer.findings} />
      <p className="flat">
        {answer.ready ? (
          <>
            Ready on <strong>{formatDay(answer.ready.day, settings)}</strong>, after what waits:{' '}
            <Why figure={answer.ready.working} />.
          </>
        ) : (
          'Within a year the shop’s hours don’t suffice for it: look at them under Shop.'
        )}
        {describeToBuy(answer.toBuy)}
      </p>
    </div>
  );
}

function Reading({ label, figure }: { readonly label: string; readonly figure: Figure }) {
  return (
    <span>
      {label}{' '}
      <b>
        <Why figure={figure} />
      </b>
    </span>
  );
}

type ProposedPriceProps = Pick<Props, 'onAsk'> & { readonly label: string; readonly figure: Figure | null };

function ProposedPrice({ label, figure, onAsk }: ProposedPriceProps) {
  const settings = useSettings();
  const { writeMoney } = useNumbers();
  if (!figure) return null;
  return (
    <span>
      {label} <Why figure={figure} />{' '}
      <Button
        size="small"
        variant="text"
        aria-label={`Ask ${formatMoney(figure.value, settings)}, ${label}`}
        onClick={() => onAsk(writeMoney(figure.value))}
      >
        ask it
      </Button>
    </span>
  );
}
