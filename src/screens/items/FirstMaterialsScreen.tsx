// What an item needs and the shelf lacks altogether is made before anything else: the first blank, the first vinyl.

import type { FrameView } from '../../views/frame';
import type { ItemEditorView } from '../../views/items';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

type Props = { readonly frame: FrameView; readonly view: Pick<ItemEditorView, 'shelf'> };

const FirstMaterialsContent = await rests(() => import('./FirstMaterialsContent'));

export const FirstMaterialsScreen = asPage(function FirstMaterialsScreen({ frame, view }: Props) {
  return (
    <Frame frame={frame} current="items">
      <FirstMaterialsContent view={view} />
    </Frame>
  );
});
