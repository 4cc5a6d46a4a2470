// What a load comes to, and what can be done to lay it out better.

import Button from '@mui/material/Button';
import type { WaitingPart } from '../../views/cut-sheets';
import { describeLayout, describeMoreSpares } from '../../wording/nesting';
import { plural } from '../../wording/plural';
import { stopNesting } from '../../workers/nest-client';
import { useSettings } from '../shared/settings';
import type { Group } from './cut-load';
import { FillSheet } from './FillSheet';
import type { LoadInput, LoadState } from './use-load';
import { warn } from './warn';
import { enqueueSnackbar } from '../shared/snackbar';

type Props = {
  readonly state: LoadState;
  readonly group: Group;
  readonly input: LoadInput;
  /** Parts that wait and are neither chosen nor on another sheet. */
  readonly others: readonly WaitingPart[];
  readonly stale: boolean;
};

export function LoadHead({ state, group, input, others, stale }: Props) {
  const settings = useSettings();
  const { laid, running } = state;
  const title = !laid
    ? `${plural(input.parts.length, 'part')} to lay out`
    : laid.counting
      ? `${laid.layout.placements.length} of it fit on this`
      : describeLayout(laid.layout, group.vinyl.name, settings);
  return (
    <div className="page-head">
      <h2 className="flat" aria-live="polite">
        {title}
      </h2>
      <div className="actions">
        {running ? (
          <Button onClick={stopNesting}>Stop here</Button>
        ) : (
          <LayOutButtons state={state} group={group} input={input} others={others} stale={stale} />
        )}
      </div>
    </div>
  );
}

function LayOutButtons({ state, group, input, others, stale }: Props) {
  const { laid, locked, faults } = state;
  const none = input.parts.length === 0;
  const good = laid !== null && !stale && !laid.counting;
  return (
    <>
      <Button
        variant={laid && !stale ? 'outlined' : 'contained'}
        disabled={none}
        onClick={() => void state.layOut(input, false)}
      >
        Lay out
      </Button>
      {good && (
        <Button onClick={() => void state.improveFurther()}>
          {locked.size > 0 ? 'Improve around the locked' : 'Improve further'}
        </Button>
      )}
      {good && faults.length === 0 && (
        <FillSheet
          waiting={others}
          usual={group.usual}
          onParts={() => void state.fillWithParts(others, () => warn('None of them fits into what is left.'))}
          onUsual={(piece) =>
            void state.fillWithSpares(piece, (added) =>
              added === 0
                ? warn(`Not even one ${piece.name} fits into what is left.`)
                : enqueueSnackbar(describeMoreSpares(added, piece.name)),
            )
          }
        />
      )}
      <Button disabled={none} onClick={() => void state.layOut(input, true)}>
        How many fit?
      </Button>
    </>
  );
}
