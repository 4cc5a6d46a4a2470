// Books, the hours: what was worked in each month, and what was spoiled for which reason.

import type { FrameView } from '../../views/frame';
import type { HoursView } from '../../views/hours';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const HoursContent = await rests(() => import('./HoursContent'));

export const HoursScreen = asPage(function HoursScreen({ frame, view }: { frame: FrameView; view: HoursView }) {
  return (
    <Frame frame={frame} current="books">
      <HoursContent view={view} />
    </Frame>
  );
});
