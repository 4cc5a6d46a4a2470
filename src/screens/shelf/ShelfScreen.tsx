// Shelf: the vinyls and blanks, what they cost by area and by piece, and how they are pressed.

import type { FrameView } from '../../views/frame';
import type { ShelfPage } from '../../views/shelf';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const ShelfContent = await rests(() => import('./ShelfContent'));

export const ShelfScreen = asPage(function ShelfScreen({
  frame,
  view,
  openBlank,
}: {
  frame: FrameView;
  view: ShelfPage;
  openBlank: number | null;
}) {
  return (
    <Frame frame={frame} current="shelf">
      <ShelfContent view={view} openBlank={openBlank} />
    </Frame>
  );
});
