// What the demo shop tried out in its past: ladders to a setting, and several things side by side.

import { ladderInput, ladderKeepInput, sideInput, sideSheetInput } from '../../../core/input/index';
import type { TestResult } from '../../../core/cutting/index';
import { parseInput } from '../../errors';
import { isAtRest, keepLadder, requireLadder, startLadder, tellFine, tellLadder } from '../../trials/ladders';
import { closeSide, fillSide, requireSide, startSide } from '../../trials/side-by-side';
import type { Past } from './past';
import type { PastLadder, PastSide } from './past-file';

const CUT_MS = 4 * 60_000;
const SHEET_MS = 50 * 60_000;
const MOST_CUTS = 6;
/** Beyond what is clean by so much it hangs or marks; further off, worse. */
const NEAR = 0.85;

/** How a figure comes out, by its force against what is usual. */
function cutAt(share: number, { cleanFrom, cleanTo }: PastLadder): TestResult {
  if (share < cleanFrom * NEAR) return 'shallow';
  if (share < cleanFrom) return 'hangs';
  if (share <= cleanTo) return 'clean';
  return share <= cleanTo / NEAR ? 'marks' : 'through';
}

export function climbLadder({ stock, ids }: Past, ladder: PastLadder): void {
  const { shop, clock } = stock;
  const { id } = startLadder(shop, parseInput(ladderInput, { vinylId: ids.vinyls.get(ladder.vinyl) }));
  const usualGrams = requireLadder(shop, id).startGrams;
  for (let cut = 0; cut < MOST_CUTS && !isAtRest(requireLadder(shop, id)); cut++) {
    const { setting } = requireLadder(shop, id);
    clock.ms += CUT_MS;
    tellLadder(shop, id, { setting, result: cutAt(setting.forceGrams / usualGrams, ladder) });
  }
  if (!requireLadder(shop, id).cleanSetting) return;
  clock.ms += CUT_MS;
  tellFine(shop, id, ladder.fine);
  keepLadder(shop, id, parseInput(ladderKeepInput, { name: ladder.name, use: ladder.use }));
}

export function trySideBySide({ stock, ids }: Past, { candidates, artwork, daysAgo: _, ...side }: PastSide): void {
  const { shop, clock } = stock;
  const { id } = startSide(
    shop,
    parseInput(sideInput, {
      ...side,
      artworkId: ids.artworks.get(artwork),
      candidates: candidates.map(({ vinyl, label }) => ({ vinylId: ids.vinyls.get(vinyl), label })),
    }),
  );
  for (const [at, candidate] of requireSide(shop, id).candidates.entries()) {
    clock.ms += SHEET_MS;
    fillSide(shop, id, candidate.id, parseInput(sideSheetInput, candidates[at]!.sheet));
  }
  closeSide(shop, id, true);
}
