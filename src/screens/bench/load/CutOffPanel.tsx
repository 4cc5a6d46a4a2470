// After the cut: where it is cut off, and what is kept of the rest.

import { tellCutOff } from '../../../core/cutting';
import { SheetLeftovers } from '../../shared/SheetLeftovers';
import { Why } from '../../shared/Why';
import type { StepProps } from './step-props';

export function CutOffPanel({ at, plan, now }: StepProps) {
  const { facts, lot, leftovers } = plan;
  if (facts.isRoll) {
    const { cutAt, stays } = tellCutOff(facts.usedLengthMm, now.shiftMm, lot.left);
    return (
      <ul className="big bare flat pad-0">
        <li>
          {facts.trim ? 'the last cut parted it, at' : 'square across, at'} <Why figure={cutAt} />
        </li>
        <li>
          <Why figure={stays} /> stay on the roll
        </li>
      </ul>
    );
  }
  return (
    <>
      <SheetLeftovers
        leftovers={leftovers}
        chosen={at.leftovers.get(now.sheet) ?? leftovers[0]?.kind ?? 'nothing'}
        onChoose={(kind) => at.keepLeftover(now.sheet, kind)}
      />
      <p className="soft flat above-2">Its code is told when the load is booked: write it on what you keep.</p>
    </>
  );
}
