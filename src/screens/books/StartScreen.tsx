// Books, the start: a kit within a budget, and when it has come back.

import type { FrameView } from '../../views/frame';
import type { StartView } from '../../views/start-plan';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const StartContent = await rests(() => import('./StartContent'));

export const StartScreen = asPage(function StartScreen({ frame, view }: { frame: FrameView; view: StartView }) {
  return (
    <Frame frame={frame} current="books">
      <StartContent view={view} />
    </Frame>
  );
});
