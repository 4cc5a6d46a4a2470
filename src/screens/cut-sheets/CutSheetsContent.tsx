// Cut sheets: what waits of each vinyl, laid out on the stock in hand so that least is wasted; then cut, booked, and
// the rest saved.

import Button from '@mui/material/Button';
import { useState } from 'react';
import { formatDay } from '../../core/units';
import type { CutSheetsView } from '../../views/cut-sheets';
import { plural, verbFor } from '../../wording/plural';
import { useSettings } from '../shared/settings';
import { DayLoads } from './DayLoads';
import { useCutSheets } from './use-cut-sheets';
import { dueOf, VinylNav } from './VinylNav';
import { VinylLoad } from './VinylLoad';

export default function CutSheetsContent({ view }: { view: CutSheetsView }) {
  return <CutSheets initial={view} />;
}

function CutSheets({ initial }: { readonly initial: CutSheetsView }) {
  const sheets = useCutSheets(initial);
  const [planning, setPlanning] = useState(false);
  const { view, group, open } = sheets;
  const reopen = async () => void (await sheets.reopen());
  const plan = async () => setPlanning(await sheets.showAll());
  if (!group) return <NothingWaits />;
  return (
    <>
      <CutSheetsHead view={view} onPlan={planning ? null : () => void plan()} />
      {planning && <DayLoads view={view} onSaved={reopen} onClose={() => setPlanning(false)} />}
      <div className="cols top list-detail">
        <VinylNav
          groups={view.groups}
          group={group}
          ownId={sheets.ownId}
          later={view.later}
          onOpen={sheets.go}
          onShowAll={() => void sheets.showAll()}
        />
        <VinylLoad
          key={open.serial}
          view={view}
          group={group}
          start={open.saved}
          onSaved={sheets.takeSaved(open)}
          onDone={() => void reopen()}
        />
      </div>
    </>
  );
}

function NothingWaits() {
  return (
    <>
      <div className="page-head">
        <h1 className="flat">Nothing waits to be cut</h1>
      </div>
      <div className="sheet empty">
        <p>Parts come here with the orders they are of, by vinyl.</p>
        <Button variant="contained" href="/orders/new">
          Take an order
        </Button>
      </div>
    </>
  );
}

type HeadProps = {
  readonly view: CutSheetsView;
  /** Null while the day's loads are shown. */
  readonly onPlan: (() => void) | null;
};

function CutSheetsHead({ view, onPlan }: HeadProps) {
  const settings = useSettings();
  const parts = view.groups.reduce((sum, group) => sum + group.parts.length, view.later.parts);
  const vinyls = view.groups.length + view.later.vinyls;
  const first = view.groups[0]!;
  return (
    <div className="page-head">
      <div>
        <h1 className="flat">
          {plural(parts, 'part')} {verbFor(parts, 'waits', 'wait')} to be cut from {plural(vinyls, 'vinyl')}
        </h1>
        <p className="soft flat above-1">
          The first is due on {formatDay(dueOf(first), settings)}: {first.vinyl.name}.
        </p>
      </div>
      {onPlan && (
        <div className="actions">
          <Button onClick={onPlan}>Propose the day’s loads</Button>
        </div>
      )}
    </div>
  );
}
