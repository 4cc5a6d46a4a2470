// A setting ladder: what is cut next, how it came out, and what is known by now.

import type { FrameView } from '../../views/frame';
import type { LadderView } from '../../views/trials';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const LadderContent = await rests(() => import('./LadderContent'));

export const LadderScreen = asPage(function LadderScreen({ frame, view }: { frame: FrameView; view: LadderView }) {
  return (
    <Frame frame={frame} current="trials" moves={view.closedAtMs === null}>
      <LadderContent view={view} />
    </Frame>
  );
});
