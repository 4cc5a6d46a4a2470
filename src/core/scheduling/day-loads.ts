// Which loads to cut on a day: everything of a vinyl that waits goes together, since each change of vinyl costs a
// set-up.

import { groupBy } from '../units';

export type LoadPart = {
  readonly partId: number;
  readonly vinylId: number;
  readonly dueDay: string;
  readonly cutSeconds: number;
};
/** At the cutter for the loads of these vinyls. */
export const sumLoadSeconds = (
  loads: readonly Pick<DayLoad<LoadPart>, 'vinylId' | 'seconds'>[],
  vinylIds: ReadonlySet<number>,
): number => loads.reduce((sum, load) => sum + (vinylIds.has(load.vinylId) ? load.seconds : 0), 0);

export type DayLoad<P extends LoadPart> = {
  readonly vinylId: number;
  readonly parts: readonly P[];
  readonly dueDay: string;
  /** Loading and cutting. */
  readonly seconds: number;
  /** There is time for it in what is left of the day. */
  readonly today: boolean;
};

/**
 * Fewest loads: one of each vinyl, with every part of it that waits, whichever order it is of. The one with the part
 * that is due first comes first, then the one with more parts due by then. `freeSeconds`: what is left of the day; the
 * first load that there is stock for is always for today, and one without stock never.
 */
export function proposeLoads<P extends LoadPart>(
  parts: readonly P[],
  {
    freeSeconds,
    loadSeconds,
    hasStock,
  }: { readonly freeSeconds: number; readonly loadSeconds: number; readonly hasStock: (vinylId: number) => boolean },
): readonly DayLoad<P>[] {
  const loads = [...groupBy(parts, (part) => part.vinylId)].map(([vinylId, own]) => {
    const dueDay = own.reduce((first, part) => (part.dueDay < first ? part.dueDay : first), own[0]!.dueDay);
    return {
      vinylId,
      parts: [...own].sort((a, b) => a.dueDay.localeCompare(b.dueDay) || a.partId - b.partId),
      dueDay,
      seconds: loadSeconds + own.reduce((sum, part) => sum + part.cutSeconds, 0),
      urgent: own.filter((part) => part.dueDay === dueDay).length,
    };
  });
  let left = freeSeconds,
    first = true;
  return loads
    .sort((a, b) => a.dueDay.localeCompare(b.dueDay) || b.urgent - a.urgent || a.vinylId - b.vinylId)
    .map(({ urgent: _, ...load }) => {
      const today = hasStock(load.vinylId) && (first || load.seconds <= left);
      if (today) [left, first] = [left - load.seconds, false];
      return { ...load, today };
    });
}
