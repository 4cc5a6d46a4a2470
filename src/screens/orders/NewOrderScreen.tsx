// Taking an order: who, what, how many, by when, for how much.

import type { FrameView } from '../../views/frame';
import type { NewOrderView } from '../../views/orders';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const NewOrderContent = await rests(() => import('./NewOrderContent'));

export const NewOrderScreen = asPage(function NewOrderScreen({
  frame,
  view,
}: {
  frame: FrameView;
  view: NewOrderView;
}) {
  return (
    <Frame frame={frame} current="orders">
      <NewOrderContent view={view} />
    </Frame>
  );
});
