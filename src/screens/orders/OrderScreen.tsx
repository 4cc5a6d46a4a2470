// One order: where it stands and what comes next, its lines and what they say, its money, its proof, and what happened.

import type { FrameView } from '../../views/frame';
import type { OrderView } from '../../views/orders';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const OrderContent = await rests(() => import('./OrderContent'));

export const OrderScreen = asPage(function OrderScreen({ frame, view }: { frame: FrameView; view: OrderView }) {
  return (
    <Frame frame={frame} current="orders" newHref="/orders/new">
      <OrderContent view={view} />
    </Frame>
  );
});
