// Cut sheets: what waits of each vinyl, laid out on the stock in hand so that least is wasted; then cut, booked, and
// the rest saved.

import type { FrameView } from '../../views/frame';
import type { CutSheetsView } from '../../views/cut-sheets';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const CutSheetsContent = await rests(() => import('./CutSheetsContent'));

export const CutSheetsScreen = asPage(function CutSheetsScreen({
  frame,
  view,
}: {
  frame: FrameView;
  view: CutSheetsView;
}) {
  return (
    <Frame frame={frame} current="cut-sheets">
      <CutSheetsContent view={view} />
    </Frame>
  );
});
