// What the page of an item calculates with, growing as other things are chosen: of a large shelf only what is used is
// here.

import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState } from 'react';
import { listArtworkIds, listVinylIds, type ItemPlan } from '../../core/costing';
import type { ArtworkView } from '../../views/artwork';
import type { ItemEditorView, ItemMaterialsView } from '../../views/items';
import type { BlankView, VinylView } from '../../views/shelf';
import { addNew } from '../shared/add-new';
import { callApi } from '../shared/api';

type Wanted = {
  readonly artworkIds?: readonly number[];
  readonly vinylIds?: readonly number[];
  readonly blankIds?: readonly number[];
};
type Materials = {
  /** Brings these with their prices. */
  readonly take: (wanted: Wanted) => Promise<ItemEditorView>;
  /** The artwork, once it is here, and the shelf with the vinyls nearest to its colours. */
  readonly takeArtwork: (
    id: number,
    blankId: number,
  ) => Promise<{ readonly artwork: ArtworkView | undefined; readonly shelf: ItemEditorView['shelf'] }>;
};

export const MaterialsContext = createContext<Materials | null>(null);

export function useMaterials(): Materials {
  const materials = useContext(MaterialsContext);
  if (!materials) throw new Error('Materials are asked for outside of an item');
  return materials;
}

export function useItemMaterials(initial: ItemEditorView) {
  const [view, setView] = useState(initial);
  const now = useRef(initial);
  const change = useCallback((next: ItemEditorView) => {
    now.current = next;
    setView(next);
    return next;
  }, []);
  const materials = useMemo<Materials>(() => {
    const take = async (wanted: Wanted) => {
      const found = await callApi<ItemMaterialsView>('GET', `/api/items/materials?${toParams(wanted)}`);
      return change(addMaterials(now.current, found, wanted));
    };
    return {
      take,
      takeArtwork: async (id, blankId) => {
        const here = now.current.artworks.some((artwork) => artwork.id === id);
        const { artworks, shelf } = here ? now.current : await take({ artworkIds: [id], blankIds: [blankId] });
        return { artwork: artworks.find((artwork) => artwork.id === id), shelf };
      },
    };
  }, [change]);
  const addShelf = (part: Partial<ItemEditorView['shelf']>) =>
    change({ ...now.current, shelf: { ...now.current.shelf, ...part } });
  return {
    view,
    materials,
    addBlank: (made: BlankView) => void addShelf({ blanks: addNew(now.current.shelf.blanks, [made]) }),
    addVinyl: (made: VinylView) => void addShelf({ vinyls: addNew(now.current.shelf.vinyls, [made]) }),
  };
}

function toParams({ artworkIds = [], vinylIds = [], blankIds = [] }: Wanted): URLSearchParams {
  const params = new URLSearchParams();
  for (const id of artworkIds) params.append('artwork', String(id));
  for (const id of vinylIds) params.append('vinyl', String(id));
  for (const id of blankIds) params.append('blank', String(id));
  return params;
}

function addMaterials(
  view: ItemEditorView,
  { artworks, vinyls, prices, packings }: ItemMaterialsView,
  { blankIds = [] }: Wanted,
): ItemEditorView {
  const laidOut = new Set(artworks.map((artwork) => artwork.id));
  return {
    ...view,
    artworks: addNew(view.artworks, artworks),
    artworkNames: addNew(
      view.artworkNames,
      artworks.map(({ id, name }) => ({ id, name })),
    ),
    shelf: { ...view.shelf, vinyls: addNew(view.shelf.vinyls, vinyls) },
    prices: [...new Map([...view.prices, ...prices])],
    packings: [...view.packings.filter((packing) => !laidOut.has(packing.artworkId)), ...packings],
    priced: {
      vinylIds: [...view.priced.vinylIds, ...vinyls.map((vinyl) => vinyl.id)],
      blankIds: [...view.priced.blankIds, ...blankIds],
    },
  };
}

/** Whatever the form names and is not here yet is brought: chosen from a list, or from a draft. */
export function useMissingMaterials(view: ItemEditorView, plan: ItemPlan): void {
  const { take } = useMaterials();
  const asked = useRef(new Set<string>());
  useEffect(() => {
    const isNew = (kind: string) => (id: number) => id > 0 && !asked.current.has(`${kind} ${id}`);
    const artworkIds = listArtworkIds(plan).filter(
      (id) => isNew('artwork')(id) && view.artworks.every((artwork) => artwork.id !== id),
    );
    const vinylIds = listVinylIds(plan).filter((id) => isNew('vinyl')(id) && !view.priced.vinylIds.includes(id));
    const blankIds = [plan.blankId].filter((id) => isNew('blank')(id) && !view.priced.blankIds.includes(id));
    if (artworkIds.length + vinylIds.length + blankIds.length === 0) return;
    const names = [
      ...artworkIds.map((id) => `artwork ${id}`),
      ...vinylIds.map((id) => `vinyl ${id}`),
      ...blankIds.map((id) => `blank ${id}`),
    ];
    names.forEach((name) => asked.current.add(name));
    // What could not be brought is asked for again with the next change.
    take({ artworkIds, vinylIds, blankIds }).catch(() => names.forEach((name) => asked.current.delete(name)));
  }, [view, plan, take]);
}
