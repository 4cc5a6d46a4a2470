// What stands on the desk while a drawing is made ready: its size, steps, and each layer's name and vinyl; with undo.

import { useMemo, useState } from 'react';
import {
  START_WIDTH_MM,
  WIDTH_RANGE_MM,
  type LayerRole,
  type Licence,
  type PrepStep,
  type StepAction,
} from '../../core/artwork';
import type { ArtworkView } from '../../views/artwork';

export type SizeBy = 'width' | 'height' | 'fit';
/** Lengths in mm; null while what is typed is no number. */
export type SizeWish = { readonly by: SizeBy; readonly widthMm: number | null; readonly heightMm: number | null };
export type DeskState = {
  readonly size: SizeWish;
  readonly steps: readonly PrepStep[];
  /** By layer key; what is not there has its colour's name, and no vinyl yet. */
  readonly names: Readonly<Record<string, string>>;
  readonly vinylIds: Readonly<Record<string, number | null>>;
  readonly name: string;
  readonly licence: Licence;
};

/** At the width that the drawing states, where it states one. */
export const startDesk = (name: string, steps: readonly PrepStep[], ownWidthMm: number | null = null): DeskState => ({
  size: { by: 'width', widthMm: ownWidthMm ?? START_WIDTH_MM, heightMm: null },
  steps,
  names: {},
  vinylIds: {},
  name,
  licence: 'unknown',
});

/** The desk as an artwork was kept. */
export function openDesk(artwork: ArtworkView): DeskState {
  const byKey = <T>(values: readonly T[]) =>
    Object.fromEntries(
      artwork.measurement.layers.flatMap((layer, index) =>
        values[index] === undefined ? [] : [[layer.key, values[index]]],
      ),
    );
  const size = [...artwork.steps].reverse().find((step) => step.kind === 'size' && step.on);
  return {
    size:
      size?.kind === 'size'
        ? {
            by: size.fit ? 'fit' : size.widthMm !== undefined ? 'width' : 'height',
            widthMm: size.widthMm ?? null,
            heightMm: size.heightMm ?? null,
          }
        : { by: 'width', widthMm: artwork.measurement.widthMm, heightMm: null },
    steps: artwork.steps.filter((step) => step.kind !== 'size'),
    names: byKey(artwork.layerNames),
    vinylIds: byKey(artwork.layerVinylIds),
    name: artwork.name,
    licence: artwork.licence,
  };
}

const inRange = (lengthMm: number | null): lengthMm is number =>
  lengthMm !== null && lengthMm >= WIDTH_RANGE_MM.least && lengthMm <= WIDTH_RANGE_MM.most;

/** All steps with the size first; null while the size can't be used. */
export function toSteps({ size, steps }: Pick<DeskState, 'size' | 'steps'>): readonly PrepStep[] | null {
  const { by, widthMm, heightMm } = size;
  if ((by !== 'height' && !inRange(widthMm)) || (by !== 'width' && !inRange(heightMm))) return null;
  const first: StepAction =
    by === 'width'
      ? { kind: 'size', widthMm: widthMm! }
      : by === 'height'
        ? { kind: 'size', heightMm: heightMm! }
        : { kind: 'size', widthMm: widthMm!, heightMm: heightMm!, fit: true };
  return [{ ...first, on: true }, ...steps];
}

/** A layer has one role: the last that was given counts, and takes the place of an earlier one. */
export const setRole = (steps: readonly PrepStep[], layer: string, role: LayerRole): readonly PrepStep[] => [
  ...steps.filter((step) => !(step.kind === 'role' && step.layer === layer)),
  { kind: 'role', layer, role, on: true },
];

/** What a step makes of a layer is cut from the layer's own vinyl, until another is chosen. */
function inheritVinyls(vinylIds: DeskState['vinylIds'], step: StepAction): DeskState['vinylIds'] {
  if (step.kind !== 'split') return vinylIds;
  const own = vinylIds[step.layer] ?? null;
  return {
    ...vinylIds,
    ...Object.fromEntries(Array.from({ length: MOST_LOADS }, (_, index) => [`${step.layer} load ${index + 1}`, own])),
  };
}
const MOST_LOADS = 12;

export type Desk = {
  readonly state: DeskState;
  readonly change: (part: Partial<DeskState>) => void;
  /** Like `change`, but can be undone. */
  readonly act: (part: Partial<DeskState>) => void;
  readonly take: (remedy: StepAction) => void;
  readonly undo: (() => void) | null;
  readonly reset: (state: DeskState) => void;
};

export function useDesk(start: DeskState): Desk {
  const [history, setHistory] = useState<{ readonly now: DeskState; readonly past: readonly DeskState[] }>({
    now: start,
    past: [],
  });
  return useMemo((): Desk => {
    const act = (part: Partial<DeskState>) =>
      setHistory(({ now, past }) => ({ now: { ...now, ...part }, past: [...past.slice(-49), now] }));
    return {
      state: history.now,
      act,
      change: (part) => setHistory(({ now, past }) => ({ now: { ...now, ...part }, past })),
      take: (remedy) =>
        act(
          remedy.kind === 'size'
            ? { size: { by: 'width', widthMm: remedy.widthMm ?? null, heightMm: null } }
            : {
                steps: [...history.now.steps, { ...remedy, on: true }],
                vinylIds: inheritVinyls(history.now.vinylIds, remedy),
              },
        ),
      undo:
        history.past.length > 0
          ? () => setHistory(({ now, past }) => ({ now: past[past.length - 1] ?? now, past: past.slice(0, -1) }))
          : null,
      reset: (state) => setHistory({ now: state, past: [] }),
    };
  }, [history]);
}
