// Looking for a vinyl, a drawing or an item by its name, where there are too many for a list.

import { createContext, useCallback, useContext, useState, type ReactNode } from 'react';
import type { ItemMaterialsView } from '../../views/items';
import type { VinylView } from '../../views/shelf';
import { callApi, wordsOf } from './api';
import { late } from './late';
import type { LookKind } from './LookDialog';
import { enqueueSnackbar } from './snackbar';

const LookDialog = late(() => import('./LookDialog'));

type Look = (onPicked: (id: number) => void) => void;

const LookContext = createContext<((kind: LookKind) => Look | null) | null>(null);

/** Opens the search; null where all of that kind stand in the list. */
export const useLookFor = (kind: LookKind): Look | null => useContext(LookContext)?.(kind) ?? null;

type Props = {
  readonly children: ReactNode;
  /** Kinds of which there are more than a list holds. */
  readonly more: Readonly<Partial<Record<LookKind, boolean>>>;
  /** Takes a vinyl that was picked into the lists of the page, before it is chosen. */
  readonly onVinyl?: (vinyl: VinylView, evidence: ItemMaterialsView['evidence']) => void;
};

export function LookFor({ children, more, onVinyl }: Props) {
  const [asked, setAsked] = useState<{ readonly kind: LookKind; readonly onPicked: (id: number) => void } | null>(null);
  const look = useCallback(
    (kind: LookKind): Look | null => (more[kind] ? (onPicked) => setAsked({ kind, onPicked }) : null),
    [more],
  );
  const pick = async (id: number) => {
    setAsked(null);
    if (asked?.kind === 'vinyl' && onVinyl) {
      const { vinyls, evidence } = await callApi<ItemMaterialsView>('GET', `/api/items/materials?vinyl=${id}`);
      for (const vinyl of vinyls) onVinyl(vinyl, evidence);
    }
    asked?.onPicked(id);
  };
  return (
    <LookContext.Provider value={look}>
      {children}
      {asked && (
        <LookDialog
          kind={asked.kind}
          onClose={() => setAsked(null)}
          onPicked={(id) => pick(id).catch((error: unknown) => enqueueSnackbar(wordsOf(error), { variant: 'error' }))}
        />
      )}
    </LookContext.Provider>
  );
}
