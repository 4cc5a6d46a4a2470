// At the press, while a piece is laid out or something is placed: where it goes, to scale, and how to find the place.

import { useQuery } from '@tanstack/react-query';
import { placeArtwork } from '../../core/placing';
import type { PlacingView } from '../../views/placing';
import { describePlaced, listFaultWords } from '../../wording/placing';
import { BlankDrawing } from '../placing/BlankDrawing';
import { HandSteps } from '../placing/ByHand';
import { callApi } from '../shared/api';
import { useSettings } from '../shared/settings';

type Props = {
  readonly lineId: number;
  /** In the words of the item; the first thing on the piece where no step says one. */
  readonly place: string | null;
};

export default function PlacePanel({ lineId, place }: Props) {
  const settings = useSettings();
  const { data: view } = useQuery({
    queryKey: ['line-placing', lineId],
    queryFn: ({ signal }) => callApi<PlacingView>('GET', `/api/bench-lines/${lineId}/placing`, undefined, signal),
  });
  if (!view) return null;
  const all = view.artworks.map((artwork) => {
    const heightMm = artwork.widthMm * artwork.aspect;
    return { artwork, placed: placeArtwork(view.blank, view.sizeName, { ...artwork, heightMm }) };
  });
  const own = all.find(({ artwork }) => artwork.place === place) ?? all[0];
  if (!own) return null;
  const { placed } = own;
  const told = describePlaced(placed, settings);
  return (
    <div className="place-panel">
      <BlankDrawing
        outline={placed.outline}
        colour={view.blankColour}
        things={all.filter((one) => one.placed.outline.side === placed.outline.side)}
        chosen={placed}
        label={told}
      />
      <div>
        <p className="flat">
          <strong>{told}</strong>
        </p>
        <HandSteps placed={placed} />
        {listFaultWords(placed, own.artwork.place, all, settings).map((fault) => (
          <p key={fault} className="short flat">
            {fault}
          </p>
        ))}
      </div>
    </div>
  );
}
