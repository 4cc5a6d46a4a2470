// Loading: which piece of vinyl, which side up, how it is held, where it begins.

import { formatLength } from '../../../core/units';
import { describeHold, describeSide } from '../../../wording/cutting';
import { nameLot } from '../../../wording/nesting';
import { useSettings } from '../../shared/settings';
import { LoadDrawing } from './LoadDrawing';
import type { StepProps } from './step-props';
import { SidePicture } from './SidePicture';

export function LoadingPanel({ plan, now, cutter }: StepProps) {
  const settings = useSettings();
  const { facts, lot } = plan;
  const side = describeSide(facts);
  return (
    <>
      <p className="text-large flat">
        <strong>{nameLot({ ...lot, shape: null, spoiledSpots: [] }, settings)}</strong>
        {lot.remark && <span className="soft"> {lot.remark}</span>}
      </p>
      <div className="side-by-side above-3">
        <SidePicture mirrored={facts.mirrored !== 'none'} />
        <div>
          <strong className="text-large">{side.what}</strong>
          <div className="soft">{side.proof}</div>
          <ul className="tries">
            {describeHold(plan, settings).map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        </div>
      </div>
      <LoadDrawing
        plan={plan}
        now={now}
        cutter={cutter}
        label={`How it lies: ${plan.pieces.length} pieces on ${formatLength(facts.usedLengthMm, settings)}`}
      />
    </>
  );
}
