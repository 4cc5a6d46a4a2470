// Suppliers and what they offer: side by side by what a usable square metre, a metre or a piece really costs.

import type { FrameView } from '../../views/frame';
import type { OffersView } from '../../views/offers';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const OffersContent = await rests(() => import('./OffersContent'));

export const OffersScreen = asPage(function OffersScreen({ frame, view }: { frame: FrameView; view: OffersView }) {
  return (
    <Frame frame={frame} current="shelf">
      <OffersContent view={view} />
    </Frame>
  );
});
