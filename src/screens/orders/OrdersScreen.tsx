// Orders: where each is, by due day.

import type { FrameView } from '../../views/frame';
import type { OrderListView } from '../../views/orders';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const OrdersContent = await rests(() => import('./OrdersContent'));

export const OrdersScreen = asPage(function OrdersScreen({ frame, view }: { frame: FrameView; view: OrderListView }) {
  return (
    <Frame frame={frame} current="orders" newHref="/orders/new">
      <OrdersContent view={view} />
    </Frame>
  );
});
