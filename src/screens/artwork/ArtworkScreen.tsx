// One saved drawing: prepared anew at any size, checked against its vinyls, given out to the cutter, and on to an item.

import type { FrameView } from '../../views/frame';
import type { CheckedArtworkView } from '../../views/artwork';
import type { VinylView } from '../../views/shelf';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const ArtworkContent = await rests(() => import('./ArtworkContent'));

export const ArtworkScreen = asPage(function ArtworkScreen({
  frame,
  artwork,
  vinyls,
  more,
}: {
  frame: FrameView;
  artwork: CheckedArtworkView;
  vinyls: readonly VinylView[];
  /** Whether the shelf has others. */
  more: boolean;
}) {
  return (
    <Frame frame={frame} current="artwork" newHref="/artwork/new" worksOut={artwork.checks === null}>
      <ArtworkContent artwork={artwork} vinyls={vinyls} more={more} />
    </Frame>
  );
});
