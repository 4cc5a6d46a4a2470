// One step of a ladder, by its name in the address; answered with how it stands then.

import type { InferType } from 'yup';
import type { ladderStepInput } from '../../core/input/index';
import { changeLadder } from '../../data/ladder-store';
import type { LadderView } from '../../views/trials';
import type { ShopContext } from '../context';
import { findCutter } from '../devices';
import { notFound, ShopError } from '../errors';
import { cutFigure, goOnByItself, readFigure } from './cut-figure';
import { askMore, closeLadder, requireOpen, setLadder, tellFine, tellLadder, untellLadder } from './ladders';
import { loadLadder } from './view-ladder';

type Input = InferType<typeof ladderStepInput>;

export function takeLadderStep(shop: ShopContext, id: number, step: string | undefined, input: Input): LadderView {
  carryOut(shop, id, step, input);
  return loadLadder(shop, id);
}

/** @throws ShopError not-found where there is no such step */
function carryOut(shop: ShopContext, id: number, step: string | undefined, input: Input): void {
  switch (step) {
    case 'cut':
      return cutFigure(shop, id, requireSetting(input));
    case 'cut-fine':
      return cutFigure(shop, id, requireSetting(input), true);
    case 'result':
      if (!input.result) throw new ShopError('invalid', { reason: 'result-missing' }, 'result');
      return tellLadder(shop, id, { setting: requireSetting(input), result: input.result });
    case 'undo':
      return untellLadder(shop, id);
    case 'setting':
      return setLadder(shop, id, requireSetting(input));
    case 'fine':
      if (!input.fine) throw new ShopError('invalid', { reason: 'result-missing' }, 'fine');
      return tellFine(shop, id, input.fine);
    case 'enough':
      if (input.enough === null) throw new ShopError('invalid', { reason: 'how-sure-missing' }, 'enough');
      return askMore(shop, id, input.enough);
    case 'by-itself':
      return setByItself(shop, id, input.on);
    case 'go-on':
      return goOnByItself(shop, id);
    case 'close':
      return closeLadder(shop, id);
    default:
      throw notFound('This step');
  }
}

function setByItself(shop: ShopContext, id: number, on: boolean): void {
  const ladder = requireOpen(shop, id);
  if (on && !findCutter(shop)?.isSimulated) throw new ShopError('conflict', { reason: 'not-by-itself' });
  // A figure that was broken off is cut anew.
  const isBroken = readFigure(shop, ladder)?.state === 'stopped';
  changeLadder(shop.db, id, { byItself: on, ...(isBroken ? { jobId: null } : {}) });
  if (on) goOnByItself(shop, id);
}

function requireSetting({ setting }: Input) {
  if (!setting) throw new ShopError('invalid', { reason: 'setting-missing' }, 'setting');
  return setting;
}
