// One bar, a segment for each line in making order, then the fee and what is yours.

import type { CostStage, ItemCost } from '../../core/costing';
import type { PriceReading } from '../../core/pricing';
import { formatMoney, toPercent } from '../../core/units';
import { useSettings } from './settings';
import { Why } from './Why';
import { STAGE_COLOURS } from '../../theme/tokens';

type Segment = CostStage | 'fee';
const STAGE_NAMES: Readonly<Record<Segment, string>> = {
  blank: 'blank',
  artwork: 'drawing',
  vinyl: 'vinyl',
  tape: 'transfer tape',
  stones: 'stones',
  extra: 'besides',
  'set-up': 'set-up',
  cut: 'cut',
  weed: 'weed',
  press: 'press',
  wear: 'wear',
  risk: 'risk',
  check: 'check',
  pack: 'pack',
  order: 'order',
  returns: 'returns',
  overhead: 'overheads',
  fee: 'fee',
};

export function CostStrip({ cost, reading }: { cost: ItemCost; reading: PriceReading }) {
  const settings = useSettings();
  const whole = Math.max(reading.price.value, cost.withRisk.value + reading.fee.value, 1);
  const segments = [
    ...cost.lines.map((line) => ({ key: line.id, stage: line.stage as Segment, figure: line.figure })),
    { key: 'fee', stage: 'fee' as const, figure: reading.fee },
  ].filter((segment) => segment.figure.value > 0);
  const yours = reading.yours;
  return (
    <div className="strip" role="group" aria-label="Where the price goes">
      {segments.map((segment) => {
        const share = toPercent(segment.figure.value / whole);
        return (
          <Why
            key={segment.key}
            figure={segment.figure}
            className="segment"
            style={{ flex: `${share} 0 0`, background: STAGE_COLOURS[segment.stage] }}
          >
            {share > 6.5 ? (
              <>
                <b>{STAGE_NAMES[segment.stage]}</b>
                <span className="figures">{formatMoney(segment.figure.value, settings)}</span>
              </>
            ) : (
              ' '
            )}
          </Why>
        );
      })}
      <Why
        figure={yours}
        className={yours.value >= 0 ? 'yours' : 'over'}
        style={{
          flex: `${toPercent(Math.max(Math.abs(yours.value), 1) / whole)} 0 ${yours.value < 0 ? '70px' : '0px'}`,
        }}
      >
        <b>{yours.value >= 0 ? 'yours' : 'short'}</b>
        <span className="figures">{formatMoney(yours.value, settings)}</span>
      </Why>
    </div>
  );
}
