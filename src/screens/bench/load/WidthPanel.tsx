// The width: sensed by the machine or typed, and what it means for this load.

import Button from '@mui/material/Button';
import { useState } from 'react';
import { formatLength } from '../../../core/units';
import { describeWidth } from '../../../wording/cutting';
import { NumberInput } from '../../shared/NumberInput';
import { useSettings } from '../../shared/settings';
import type { StepProps } from './step-props';

export function WidthPanel({ at, plan, now, cutter }: StepProps) {
  const settings = useSettings();
  const { leastWidthMm, widthMm } = plan.facts;
  const [typedMm, setTypedMm] = useState(now.readWidthMm ?? widthMm);
  const words = describeWidth(now, leastWidthMm, settings);
  return (
    <>
      <ul className="big bare flat pad-0">
        <li>should be {formatLength(now.expectedWidthMm ?? widthMm, settings)}</li>
        <li>needs {formatLength(leastWidthMm, settings)}</li>
      </ul>
      {words && (
        <p className={now.verdict === 'too-narrow' ? 'short text-large' : 'text-large'} role="status">
          {words}
        </p>
      )}
      {now.verdict === 'too-narrow' && (
        <p className="soft flat">
          Lay it in straight and read again. If it really is so narrow, correct the lot and lay the load out anew under{' '}
          <a href="/cut-sheets">Cut sheets</a>.
        </p>
      )}
      <div className="actions middle above-3">
        <span className="narrow-field">
          <NumberInput
            shown
            label={cutter ? 'Or as you read it' : 'The machine reads'}
            unit="mm"
            value={typedMm}
            least={10}
            onChange={setTypedMm}
          />
        </span>
        <Button disabled={at.pending} onClick={() => at.step('width', { sheet: now.sheet, widthMm: typedMm })}>
          Take this width
        </Button>
      </div>
    </>
  );
}
