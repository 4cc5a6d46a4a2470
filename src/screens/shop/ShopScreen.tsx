// Shop: the figures that every estimate and cost rests on.

import type { FrameView } from '../../views/frame';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const ShopContent = await rests(() => import('./ShopContent'));

export const ShopScreen = asPage(function ShopScreen({ frame }: { frame: FrameView }) {
  return (
    <Frame frame={frame} current="shop">
      <ShopContent people={frame.people} shop={frame.shop} />
    </Frame>
  );
});
