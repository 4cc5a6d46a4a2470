// Lettering: words in a typeface, on lines or an arc, as one outline that can be cut.

import type { FrameView } from '../../views/frame';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const LetteringContent = await rests(() => import('./LetteringContent'));

export const LetteringScreen = asPage(function LetteringScreen({ frame }: { frame: FrameView }) {
  return (
    <Frame frame={frame} current="artwork" newHref="/artwork/new">
      <LetteringContent />
    </Frame>
  );
});
