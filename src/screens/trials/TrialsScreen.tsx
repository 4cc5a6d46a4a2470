// Trials: ladders that look for the setting of a vinyl, and several of a kind side by side; open ones first.

import type { FrameView } from '../../views/frame';
import type { TrialsView } from '../../views/trials';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';
import { rests } from '../shared/resting';

const TrialsContent = await rests(() => import('./TrialsContent'));

type Props = { readonly frame: FrameView; readonly view: TrialsView; readonly vinylId: number | null };

export const TrialsScreen = asPage(function TrialsScreen({ frame, view, vinylId }: Props) {
  return (
    <Frame frame={frame} current="trials" worksOut>
      <TrialsContent view={view} vinylId={vinylId} />
    </Frame>
  );
});
