// One customer: how they are reached, their orders, and what these were worth.

import type { FrameView } from '../../views/frame';
import type { CustomerView } from '../../views/customers';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const CustomerContent = await rests(() => import('./CustomerContent'));

export const CustomerScreen = asPage(function CustomerScreen({
  frame,
  view,
}: {
  frame: FrameView;
  view: CustomerView;
}) {
  return (
    <Frame frame={frame} current="orders" newHref="/orders/new">
      <CustomerContent view={view} />
    </Frame>
  );
});
