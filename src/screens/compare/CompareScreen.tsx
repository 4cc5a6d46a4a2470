// Compare: the same piece in two to four vinyls, line by line, how sure the answer is, and where it flips.

import type { FrameView } from '../../views/frame';
import type { CompareView } from '../../views/compare';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const CompareContent = await rests(() => import('./CompareContent'));

export const CompareScreen = asPage(function CompareScreen({ frame, view }: { frame: FrameView; view: CompareView }) {
  return (
    <Frame frame={frame} current="items" worksOut>
      <CompareContent view={view} />
    </Frame>
  );
});
