// The bench: four stations, one batch at a time, large, with its timer; what is spoiled goes back to be cut.

import type { Station } from '../../core/orders';
import type { FrameView } from '../../views/frame';
import type { BenchView } from '../../views/bench';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const BenchContent = await rests(() => import('./BenchContent'));

export const BenchScreen = asPage(function BenchScreen({
  frame,
  view,
  station,
}: {
  frame: FrameView;
  view: BenchView;
  station: Station;
}) {
  return (
    <Frame frame={frame} current="bench">
      <BenchContent view={view} station={station} people={frame.people} />
    </Frame>
  );
});
