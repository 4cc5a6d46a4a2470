// What an item needs and the shelf lacks altogether is made before anything else: the first blank, the first vinyl.

import type { ItemEditorView } from '../../views/items';
import QuickBlank from '../shared/QuickBlank';
import QuickVinyl from '../shared/QuickVinyl';

export default function FirstMaterialsContent({ view }: { readonly view: Pick<ItemEditorView, 'shelf'> }) {
  // The page comes again with what was made, until nothing is missing.
  const again = () => location.reload();
  const needsBlank = view.shelf.blanks.length === 0;
  return (
    <div className="sheet">
      <p className="flat soft">
        {needsBlank
          ? 'What is it put on? The first blank of the shelf:'
          : 'What is it cut from? The first vinyl of the shelf:'}
      </p>
      {needsBlank ? <QuickBlank onMade={again} /> : <QuickVinyl onMade={again} />}
    </div>
  );
}
