// How it will look, what it costs, when it can be had; spelled right, and paid.

import Button from '@mui/material/Button';
import { formatDuration, formatMoney, formatTimeOfDay } from '../../core/units';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import type { StallState } from './use-stall';

type Props = { readonly stall: StallState };

export function StallPay({ stall }: Props) {
  const settings = useSettings();
  const { answer, price, saysAnything, isRead, setRead, isBusy, take } = stall;
  const canTake = !isBusy && answer !== null && answer.problem === null && (isRead || !saysAnything);
  return (
    <section className="sheet cols" aria-label="How it looks and what it costs">
      <Looks answer={answer} />
      {answer?.problem && <p className="short flat">{answer.problem}</p>}
      <div className="stall-price">
        <strong className="figures">{price === null ? '' : formatMoney(price, settings)}</strong>
        {answer?.wait && answer.readyAtMs !== null && (
          <span>
            ready about <b>{formatTimeOfDay(answer.readyAtMs, settings)}</b>, in{' '}
            <Why figure={answer.wait}>{formatDuration(answer.wait.value, settings)}</Why>
          </span>
        )}
      </div>
      {saysAnything && (
        <button
          type="button"
          className="stall-read"
          aria-pressed={isRead}
          disabled={answer === null || answer.problem !== null}
          onClick={() => setRead(!isRead)}
        >
          {isRead ? 'Read letter by letter: it is right' : 'Have them read it letter by letter, then press here'}
        </button>
      )}
      <div className="stall-pay">
        <Button variant="contained" size="large" disabled={!canTake} onClick={() => void take('cash')}>
          Paid in cash
        </Button>
        <Button variant="contained" size="large" disabled={!canTake} onClick={() => void take('card')}>
          Paid by card
        </Button>
        <Button size="large" disabled={!canTake} onClick={() => void take(null)}>
          Pays on collection
        </Button>
      </div>
    </section>
  );
}

function Looks({ answer }: Pick<StallState, 'answer'>) {
  return (
    <div className="stall-looks" style={answer ? { background: answer.ground } : undefined}>
      {answer?.drawings.map(({ href, place }, at) => (
        <img key={`${place} ${at}`} src={href} alt={`On it, ${place}`} />
      ))}
      {!answer && <span className="soft">Just a moment</span>}
    </div>
  );
}
