// Your minutes for an item at each station, from the log of the bench.

import { learnMinutes, type OwnMinutes } from '../../core/costing';
import { getWatchedSeconds, learnCutting, type LoggedCutting } from '../../core/estimating';
import type { ShopFigures } from '../../core/materials';
import { groupBy } from '../../core/units';
import { loadCutStretches, loadPieceSeconds, type CutStretch } from '../../data/minutes-store';
import { getShop, type ShopContext } from '../context';

/** Older work says little of how it is done now. */
const NEWEST_PIECES = 300;
const NEWEST_STRETCHES = 100;

/** Null where nothing of it is logged. */
export function learnMinutesOf(shop: ShopContext, itemId: number): OwnMinutes | null {
  const { figures } = getShop(shop);
  const secondsAt = (station: 'weed' | 'press') => loadPieceSeconds(shop.db, itemId, station, NEWEST_PIECES);
  const cutting = learnCutting(listCutting(loadCutStretches(shop.db, itemId, NEWEST_STRETCHES), itemId, figures));
  const weed = learnMinutes('Weed, as logged', { seconds: secondsAt('weed') });
  const press = learnMinutes('Press, as logged', { seconds: secondsAt('press') });
  if (!cutting && !weed && !press) return null;
  return { ...(cutting ? { cutting } : {}), ...(weed ? { weed } : {}), ...(press ? { press } : {}) };
}

/**
 * The item's share of each stretch. The clock there runs for the set-up too, which is a line of its own. Shares go by
 * what the trade estimates and never by what was learned before: else the log would confirm itself.
 */
function listCutting(stretches: readonly CutStretch[], itemId: number, figures: ShopFigures): readonly LoggedCutting[] {
  return [...groupBy(stretches, (stretch) => stretch.sessionId).values()].flatMap((all) => {
    const whole = all.reduce((sum, stretch) => sum + sumEstimate(estimateStretch(stretch, figures)), 0);
    const own = all.find((stretch) => stretch.itemId === itemId);
    if (!own || whole <= 0) return [];
    const { loading, watching } = estimateStretch(own, figures);
    return [{ pieces: own.pieces, loading, watching, seconds: (own.seconds * (loading + watching)) / whole }];
  });
}

function estimateStretch({ loads, machineSeconds, setupSeconds }: CutStretch, figures: ShopFigures) {
  return {
    loading: loads * figures.cutterLoadSeconds,
    watching: machineSeconds.reduce((sum, seconds) => sum + getWatchedSeconds(seconds, figures), 0),
    setup: setupSeconds,
  };
}

const sumEstimate = ({ loading, watching, setup }: ReturnType<typeof estimateStretch>): number =>
  loading + watching + setup;
