// Side by side: what was made, a sheet for each candidate, and which of them serves best.

import Button from '@mui/material/Button';
import { FABRICS } from '../../core/materials';
import { listNamed } from '../../core/trials';
import { formatLength } from '../../core/units';
import type { SideView } from '../../views/trials';
import { plural } from '../../wording/plural';
import { describeSides } from '../../wording/side-by-side';
import { DESIGN_WORDS } from '../../wording/trials';
import { useSettings } from '../shared/settings';
import { DeleteForGood } from './DeleteForGood';
import { SideSheetCard } from './SideSheetCard';
import { useSide, type SideAtHand } from './use-side';

export default function SideContent({ view }: { view: SideView }) {
  return <SidePage initial={view} />;
}

function SidePage({ initial }: { readonly initial: SideView }) {
  const at = useSide(initial);
  const { side } = at;
  const settings = useSettings();
  const { verdict, candidates } = side;
  const named = listNamed(verdict);
  const names = named.map((id) => candidates.find((one) => one.id === id)?.name ?? '');
  return (
    <>
      <div className="page-head">
        <div>
          <h1 className="flat">{describeSides(verdict, names, settings)}</h1>
          <p className="flat soft">
            {side.name}: <a href={`/artwork/${side.artworkId}`}>the drawing</a> {formatLength(side.widthMm, settings)}{' '}
            wide ({DESIGN_WORDS[side.design]}), {plural(side.pieces, 'piece')} of each on {FABRICS[side.fabric].label}.
          </p>
        </div>
        <SideActions at={at} />
      </div>
      <div className="side-sheets above-3">
        {candidates.map((candidate) => (
          <SideSheetCard key={candidate.id} at={at} candidate={candidate} isBest={named.includes(candidate.id)} />
        ))}
      </div>
    </>
  );
}

function SideActions({ at }: { readonly at: SideAtHand }) {
  const { id, closedAtMs, itemId, axis } = at.side;
  return (
    <div className="actions">
      <Button href="/trials">All trials</Button>
      <Button href={`/api/sides/${id}/protocol`} target="_blank">
        Print the protocol
      </Button>
      {itemId !== null && axis === 'vinyl' && <Button href={`/items/compare/${itemId}`}>Compare what they cost</Button>}
      <DeleteForGood
        path={`/api/sides/${id}`}
        warning="What it told of its vinyls, and what was seen later, no longer counts."
      />
      {closedAtMs === null ? (
        <Button disabled={at.pending} onClick={() => at.step('close')}>
          Close the trial
        </Button>
      ) : (
        <Button disabled={at.pending} onClick={() => at.step('go-on')}>
          Go on with it
        </Button>
      )}
    </div>
  );
}
