// Side by side: what was made, a sheet for each candidate, and which of them serves best.

import type { FrameView } from '../../views/frame';
import type { SideView } from '../../views/trials';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const SideContent = await rests(() => import('./SideContent'));

export const SideScreen = asPage(function SideScreen({ frame, view }: { frame: FrameView; view: SideView }) {
  return (
    <Frame frame={frame} current="trials">
      <SideContent view={view} />
    </Frame>
  );
});
