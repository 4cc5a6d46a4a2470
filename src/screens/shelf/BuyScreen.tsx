// What to buy: what is needed, the cheapest basket for it beside the plain orders, and the orders that are under way.

import type { FrameView } from '../../views/frame';
import type { PurchasesView } from '../../views/purchases';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const BuyContent = await rests(() => import('./BuyContent'));

export const BuyScreen = asPage(function BuyScreen({ frame, view }: { frame: FrameView; view: PurchasesView }) {
  return (
    <Frame frame={frame} current="shelf" worksOut>
      <BuyContent view={view} />
    </Frame>
  );
});
