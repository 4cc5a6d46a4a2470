// What an item needs and the shelf lacks altogether is made before anything else: the first blank, the first vinyl.

import type { FrameView } from '../../views/frame';
import type { ItemEditorView } from '../../views/items';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import QuickBlank from '../shared/QuickBlank';
import QuickVinyl from '../shared/QuickVinyl';

type Props = { readonly frame: FrameView; readonly view: Pick<ItemEditorView, 'shelf'> };

export const FirstMaterialsScreen = asPage(function FirstMaterialsScreen({ frame, view }: Props) {
  // The page comes again with what was made, until nothing is missing.
  const again = () => location.reload();
  const needsBlank = view.shelf.blanks.length === 0;
  return (
    <Frame frame={frame} current="items">
      <div className="sheet">
        <p className="flat soft">
          {needsBlank
            ? 'What is it put on? The first blank of the shelf:'
            : 'What is it cut from? The first vinyl of the shelf:'}
        </p>
        {needsBlank ? <QuickBlank onMade={again} /> : <QuickVinyl onMade={again} />}
      </div>
    </Frame>
  );
});
