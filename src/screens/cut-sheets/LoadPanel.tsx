// One load: laid out, improved, filled, changed by hand, exported, and cut.

import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import type { Leftover, Placement } from '../../core/nesting';
import { choiceOf, chooseLeftover, listLeftovers, partIdOf, type LeftoverChoice } from '../../core/orders';
import type { WaitingPart } from '../../views/cut-sheets';
import { nameLot } from '../../wording/nesting';
import { ChosenPart } from './ChosenPart';
import { toLaidLoad, type Group, type Laid } from './cut-load';
import { isStale } from './is-stale';
import { LaidSheet } from './LaidSheet';
import { LoadHead } from './LoadHead';
import { LoadNotices } from './LoadNotices';
import { listTargets } from './load-edits';
import { type LoadInput, type LoadState } from './use-load';
import { useLoadKeys } from './use-load-keys';
import { useLoadOutput } from './use-load-output';
import { warn } from './warn';
import { Icon } from '../shared/Icon';
import { useSettings } from '../shared/settings';

type Props = {
  readonly state: LoadState;
  readonly group: Group;
  readonly input: LoadInput;
  /** The stock is on the book. */
  readonly bookable: boolean;
  /** Parts that wait and are neither chosen nor on another sheet. */
  readonly others: readonly WaitingPart[];
  readonly onCut: () => void;
};

export function LoadPanel({ state, group, input, bookable, others, onCut }: Props) {
  const settings = useSettings();
  const { laid, running, chosen } = state;
  const [kinds, setKinds] = useState<ReadonlyMap<number, LeftoverChoice>>(new Map());
  const leftovers = useLeftovers(laid, running);
  const stale = laid !== null && isStale(laid, input);
  const targets = chosen && laid && !running ? listTargets(laid).filter((sheet) => sheet !== chosen.sheet) : [];
  const nameStock = (stockId: string) => {
    const lot = laid ? choiceOf(toLaidLoad(laid), stockId) : undefined;
    return lot && lot.lotId > 0 ? nameLot(lot, settings) : 'a piece of its own';
  };
  const output = useLoadOutput({ state, group, nameStock, leftovers: kinds, onCut });
  const move = (placement: Placement, sheet: number | undefined) => {
    if (sheet === undefined) return;
    const onNone = () => warn('There is no room for it on that sheet: it lies there with its fault.');
    void state.moveTo(placement, sheet, onNone);
  };
  const remove = (placement: Placement) => {
    if (laid && laid.layout.placements.length > 1) state.remove(placement);
    else if (laid) warn('It is the last piece on it: discard the whole sheet instead.');
  };
  useLoadKeys({ state, onMove: (placement) => move(placement, targets[0]), onRemove: remove });
  return (
    <section className="sheet cols" aria-label="Load">
      <LoadHead state={state} group={group} input={input} others={others} stale={stale} />
      <LoadNotices state={state} stale={stale} />
      {laid?.layout.sheets.map((use) => {
        const ways = leftovers.get(use.sheet) ?? [];
        return (
          <LaidSheet
            key={use.sheet}
            state={state}
            group={group}
            use={use}
            stale={stale}
            bookable={bookable}
            nameStock={nameStock}
            leftovers={ways}
            leftover={chooseLeftover(ways, kinds.get(use.sheet))}
            onLeftover={(choice) => setKinds(new Map([...kinds, [use.sheet, choice]]))}
          />
        );
      })}
      <ChosenPart state={state} targets={targets} onMove={move} onRemove={remove} />
      {laid && !laid.counting && !running && !stale && (
        <LoadActions state={state} laid={laid} output={output} bookable={bookable} />
      )}
    </section>
  );
}

/** The ways to save what is left of each sheet, once it lies still. */
function useLeftovers(laid: Laid | null, running: boolean): ReadonlyMap<number, readonly Leftover[]> {
  return useMemo(() => {
    if (!laid || running || laid.counting) return new Map();
    return new Map(laid.layout.sheets.map((use) => [use.sheet, listLeftovers(toLaidLoad(laid), use.sheet)]));
  }, [laid, running]);
}

type ActionsProps = {
  readonly state: LoadState;
  readonly laid: Laid;
  readonly output: ReturnType<typeof useLoadOutput>;
  readonly bookable: boolean;
};

function LoadActions({ state, laid, output, bookable }: ActionsProps) {
  const blocked = output.sending || state.faults.length > 0;
  const onlySpares = laid.layout.placements.every((placement) => partIdOf(laid.job, placement) === null);
  return (
    <div className="actions">
      {state.undo && (
        <Button size="small" startIcon={<Icon name="undo" />} onClick={state.undo}>
          Undo
        </Button>
      )}
      <Button size="small" disabled={blocked} onClick={() => void output.printCard()}>
        Loading card
      </Button>
      {(['svg', 'dxf', 'hpgl'] as const).map((format) => (
        <Button key={format} size="small" disabled={blocked} onClick={() => void output.exportFiles(format)}>
          {format.toUpperCase()}
        </Button>
      ))}
      {output.unreadDialog}
      {bookable && !onlySpares && (
        <Button size="small" disabled={blocked} href="/bench/cut">
          Take it to the cutter
        </Button>
      )}
      {bookable && (
        <Button variant="contained" disabled={blocked || onlySpares} onClick={() => void output.book()}>
          It is cut: book it
        </Button>
      )}
    </div>
  );
}
