// The keys that move, turn, lock and remove the chosen part of a load.

import type { Placement } from '../../core/nesting';
import { useKeys } from '../shared/keys';
import { turnAboutMiddle } from './load-edits';
import { type LoadState } from './use-load';

const STEP_MM = 1;
const FINE_STEP_MM = 0.1;
const TURN_DEGREES = 15;

type LoadKeys = {
  readonly state: LoadState;
  readonly onMove: (placement: Placement) => void;
  readonly onRemove: (placement: Placement) => void;
};

export function useLoadKeys({ state, onMove, onRemove }: LoadKeys): void {
  const { chosen, laid } = state;
  const nudge = (dxMm: number, dyMm: number) => () => {
    if (chosen) state.change(chosen, { xMm: chosen.xMm + dxMm, yMm: chosen.yMm + dyMm });
  };
  const turn = (degrees: number) => () => {
    if (chosen && laid) state.change(chosen, turnAboutMiddle(chosen, laid.job, degrees));
  };
  const silent = (keys: string, run: () => void) => ({ keys, shown: '', does: '', run });
  useKeys('cut-sheet', [
    { keys: 'r', shown: 'R', does: 'turn the chosen part by 15°', run: turn(TURN_DEGREES) },
    { keys: 'Shift+R', shown: 'Shift R', does: 'turn it by 1°', run: turn(1) },
    { keys: 'l', shown: 'L', does: 'lock it, or unlock it', run: state.lock },
    { keys: 'm', shown: 'M', does: 'move it to the next sheet', run: () => chosen && onMove(chosen) },
    { keys: '$mod+z', shown: 'Ctrl Z', does: 'undo the last change', run: () => state.undo?.() },
    {
      keys: 'Delete',
      shown: 'Del',
      does: 'remove it from the sheet: it waits again',
      run: () => chosen && onRemove(chosen),
    },
    {
      keys: 'ArrowRight',
      shown: 'arrows',
      does: 'move it by 1 mm, with Shift by 0.1 mm',
      run: nudge(0, STEP_MM),
    },
    silent('ArrowLeft', nudge(0, -STEP_MM)),
    silent('ArrowUp', nudge(STEP_MM, 0)),
    silent('ArrowDown', nudge(-STEP_MM, 0)),
    silent('Shift+ArrowRight', nudge(0, FINE_STEP_MM)),
    silent('Shift+ArrowLeft', nudge(0, -FINE_STEP_MM)),
    silent('Shift+ArrowUp', nudge(FINE_STEP_MM, 0)),
    silent('Shift+ArrowDown', nudge(-FINE_STEP_MM, 0)),
  ]);
}
