// Orders from a channel: what came, what became of it, and what waits to be matched. The channel is a folder here.

import type { FrameView } from '../../views/frame';
import type { FeedView } from '../../views/feed';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const FeedContent = await rests(() => import('./FeedContent'));

export const FeedScreen = asPage(function FeedScreen({ frame, view }: { frame: FrameView; view: FeedView }) {
  return (
    <Frame frame={frame} current="orders" newHref="/orders/new">
      <FeedContent view={view} />
    </Frame>
  );
});
