// One item: a blank, a placement of a drawing, a vinyl for each layer; what it costs, and what to ask. Calculated as
// you type.

import type { FrameView } from '../../views/frame';
import type { ItemEditorView } from '../../views/items';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const ItemContent = await rests(() => import('./ItemContent'));

export const ItemScreen = asPage(function ItemScreen({ frame, view }: { frame: FrameView; view: ItemEditorView }) {
  return (
    <Frame frame={frame} current="items" newHref="/items/new">
      <ItemContent view={view} />
    </Frame>
  );
});
