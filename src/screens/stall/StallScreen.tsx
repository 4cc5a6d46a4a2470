// The stall: a piece is chosen, lettered, seen, paid and made while the customer waits. For fingers.

import type { FrameView } from '../../views/frame';
import type { StallView } from '../../views/stall';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const StallContent = await rests(() => import('./StallContent'));

export const StallScreen = asPage(function StallScreen({ frame, view }: { frame: FrameView; view: StallView }) {
  return (
    <Frame frame={frame} current="orders">
      <StallContent view={view} />
    </Frame>
  );
});
