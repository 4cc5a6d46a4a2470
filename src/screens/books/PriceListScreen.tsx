// Books, the price list: what each item has to cost on each channel for the goal, and which items earn less than your
// hour.

import type { FrameView } from '../../views/frame';
import type { PriceListView } from '../../views/price-list';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const PriceListContent = await rests(() => import('./PriceListContent'));

export const PriceListScreen = asPage(function PriceListScreen({
  frame,
  view,
}: {
  frame: FrameView;
  view: PriceListView;
}) {
  return (
    <Frame frame={frame} current="books">
      <PriceListContent view={view} />
    </Frame>
  );
});
