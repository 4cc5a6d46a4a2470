// Stock: what lies on the shelf, what of it is free, offcuts to scale, and the ledger behind it.

import type { FrameView } from '../../views/frame';
import type { StockPage } from '../../views/stock';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const StockContent = await rests(() => import('./StockContent'));

export const StockScreen = asPage(function StockScreen({ frame, view }: { frame: FrameView; view: StockPage }) {
  return (
    <Frame frame={frame} current="shelf">
      <StockContent view={view} />
    </Frame>
  );
});
