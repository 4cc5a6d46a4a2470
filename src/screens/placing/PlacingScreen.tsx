// Where it sits: the blank to scale with what lies on it, how far from what, how to find the place by hand.

import type { FrameView } from '../../views/frame';
import type { PlacingView } from '../../views/placing';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const PlacingContent = await rests(() => import('./PlacingContent'));

export const PlacingScreen = asPage(function PlacingScreen({ frame, view }: { frame: FrameView; view: PlacingView }) {
  return (
    <Frame frame={frame} current="items">
      <PlacingContent view={view} />
    </Frame>
  );
});
