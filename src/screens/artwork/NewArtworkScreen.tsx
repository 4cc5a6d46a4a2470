// A drawing comes in: dropped, chosen or pasted; measured at once; saved when wanted.

import type { FrameView } from '../../views/frame';
import type { VinylView } from '../../views/shelf';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

type NewArtworkScreenProps = {
  readonly frame: FrameView;
  readonly vinyls: readonly VinylView[];
  /** Whether the shelf has others. */
  readonly more: boolean;
};

const NewArtworkContent = await rests(() => import('./NewArtworkContent'));

export const NewArtworkScreen = asPage(function NewArtworkScreen({ frame, vinyls, more }: NewArtworkScreenProps) {
  return (
    <Frame frame={frame} current="artwork">
      <NewArtworkContent vinyls={vinyls} more={more} />
    </Frame>
  );
});
