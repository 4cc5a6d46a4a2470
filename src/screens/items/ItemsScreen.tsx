// Items: what each costs and what an hour on it earns.

import type { FrameView } from '../../views/frame';
import type { ItemListView } from '../../views/items';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const ItemsContent = await rests(() => import('./ItemsContent'));

export const ItemsScreen = asPage(function ItemsScreen({ frame, view }: { frame: FrameView; view: ItemListView }) {
  return (
    <Frame frame={frame} current="items" newHref="/items/new">
      <ItemsContent view={view} />
    </Frame>
  );
});
