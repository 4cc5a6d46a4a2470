// The day's loads as the screen holds them: proposed, chosen, laid out one after another and saved.

import { useEffect, useMemo, useRef, useState } from 'react';
import type { CutShape } from '../../core/nesting';
import { listPartIds } from '../../core/orders';
import { proposeLoads } from '../../core/scheduling';
import type { CutSheetsView } from '../../views/cut-sheets';
import { describeLayout, describeNestProblem } from '../../wording/nesting';
import { stopNesting } from '../../workers/nest-client';
import { callApi, wordsOf } from '../shared/api';
import { useSettings } from '../shared/settings';
import { layOutDayLoad } from './lay-out-day-load';

/** What came of a load, in words. */
export type DayLoadWord = { readonly words: string; readonly good: boolean };
type State = ReturnType<typeof useProposedLoads>;
export type ProposedLoad = State['loads'][number];

/** `onSaved` is called once, after the last of them. */
export function useDayLoads(view: CutSheetsView, onSaved: () => Promise<void>) {
  const state = useProposedLoads(view);
  const { loads, chosen, said } = state;
  const [at, setAt] = useState<number | null>(null);
  const layOutOne = useLayOutOne(view, state);
  const stopped = useRef(false);
  const stop = () => {
    stopped.current = true;
    stopNesting();
  };
  useEffect(() => stop, []);
  const layOutAll = async () => {
    stopped.current = false;
    for (const [index, load] of loads.entries()) {
      if (stopped.current) break;
      if (!chosen.has(load.vinylId) || said.get(load.vinylId)?.good) continue;
      setAt(index);
      await layOutOne(load);
    }
    setAt(null);
    await onSaved();
  };
  return {
    ...state,
    /** The place of the load that is laid out just now. */
    at,
    isDone: [...chosen].every((id) => said.get(id)?.good),
    layOutAll,
    stop,
  };
}

function useProposedLoads(view: CutSheetsView) {
  const { figures } = useSettings().shop;
  const waiting = useMemo(() => listUnclaimed(view), [view]);
  const [loads] = useState(() =>
    proposeLoads(waiting, {
      freeSeconds: view.freeSeconds,
      loadSeconds: figures.cutterLoadSeconds,
      hasStock: (id) => groupOf(view, id).stock.length > 0,
    }),
  );
  const [chosen, setChosen] = useState<ReadonlySet<number>>(
    () => new Set(loads.filter((load) => load.today).map((load) => load.vinylId)),
  );
  const [said, setSaid] = useState<ReadonlyMap<number, DayLoadWord>>(new Map());
  return {
    loads,
    chosen,
    choose: (vinylId: number, on: boolean) =>
      setChosen((before) => new Set(on ? [...before, vinylId] : [...before].filter((id) => id !== vinylId))),
    said,
    say: (vinylId: number, words: string, good: boolean) =>
      setSaid((before) => new Map([...before, [vinylId, { words, good }]])),
  };
}

/** Lays one load out, saves it, and says what came of it; it never throws. */
function useLayOutOne(view: CutSheetsView, { say }: State) {
  const settings = useSettings();
  const cache = useRef(new Map<string, CutShape>());
  return async ({ vinylId, parts }: ProposedLoad) => {
    const group = groupOf(view, vinylId);
    try {
      const result = await layOutDayLoad(view, group, parts, cache.current, settings.shop.figures);
      if (result.kind === 'unreadable') return say(vinylId, 'None of its drawings can be read.', false);
      if (result.kind === 'refused') return say(vinylId, describeNestProblem(result.problem, settings), false);
      await callApi('POST', '/api/cut-sheets/saved', { vinylId, sheet: result.sheet });
      say(vinylId, `${describeLayout(result.layout, group.vinyl.name, settings)}; saved.`, true);
    } catch (error) {
      say(vinylId, wordsOf(error), false);
    }
  };
}

/** Parts of every vinyl that lie on no saved sheet. */
const listUnclaimed = (view: CutSheetsView) =>
  view.groups.flatMap((group) => {
    const claimed = new Set(group.saved.flatMap((saved) => listPartIds(saved.sheet)));
    return group.parts
      .filter((part) => !claimed.has(part.partId))
      .map((part) => ({ ...part, vinylId: group.vinyl.id }));
  });

export const groupOf = (view: CutSheetsView, vinylId: number) =>
  view.groups.find((group) => group.vinyl.id === vinylId)!;
