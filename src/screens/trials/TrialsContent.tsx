// Trials: ladders that look for the setting of a vinyl, and several of a kind side by side; open ones first.

import Button from '@mui/material/Button';
import { useState } from 'react';
import { formatInstant } from '../../core/units';
import type { LadderRow, TrialsView } from '../../views/trials';
import { describeSetting } from '../../wording/cutting';
import { plural } from '../../wording/plural';
import { nameLot } from '../../wording/stock';
import { describeVerdict } from '../../wording/trials';
import { callApi } from '../shared/api';
import { useKeys } from '../shared/keys';
import { late } from '../shared/late';
import { useSettings } from '../shared/settings';
import { Swatch } from '../shared/Swatch';
import { useMounted } from '../shared/use-mounted';
import { WhenSeen } from '../shared/WhenSeen';
import { LabelTable, SideTable } from './SideTables';

const NewLadder = late(() => import('./NewLadder'));
const NewSide = late(() => import('./NewSide'));
const TrustTable = late(() => import('./TrustTable'));
const FloorTable = late(() => import('./FloorTable'));
const LearnPanel = late(() => import('./LearnPanel'));
const GuessesPanel = late(() => import('./GuessesPanel'));

type Props = { readonly view: TrialsView; readonly vinylId: number | null };

function sayVerdict({ open, closed, sides }: TrialsView): string {
  const openSides = sides.filter(({ verdict }) => verdict.kind === 'not-filled').length;
  if (open.length + openSides > 0)
    return `${[open.length > 0 && plural(open.length, 'ladder'), openSides > 0 && plural(openSides, 'trial')]
      .filter(Boolean)
      .join(' and ')} not finished`;
  return closed.length === 0 ? 'No setting was looked for yet' : 'Which setting cuts it clean';
}

export default function TrialsContent({ view, vinylId }: Props) {
  const [isNew, setIsNew] = useState(vinylId !== null);
  const [isNewSide, setIsNewSide] = useState(false);
  const isMounted = useMounted();
  const [older, setOlder] = useState<readonly TrialsView[]>([]);
  useKeys('Trials', [{ keys: 'n', shown: 'N', does: 'find the setting of a vinyl', run: () => setIsNew(true) }]);
  const closed = [...view.closed, ...older.flatMap((page) => page.closed)];
  const hasMore = older.at(-1)?.more ?? view.more;
  const showMore = async () => {
    const before = closed.at(-1)?.startedAtMs;
    setOlder([...older, await callApi<TrialsView>('GET', `/api/ladders?before=${before}`)]);
  };
  return (
    <>
      <div className="page-head">
        <h1 className="flat">{sayVerdict(view)}</h1>
        <div className="actions">
          <Button href="/shelf/recipes">Settings and recipes</Button>
          <Button onClick={() => setIsNewSide(true)}>Try side by side</Button>
          <Button variant="contained" onClick={() => setIsNew(true)}>
            Find a setting
          </Button>
        </div>
      </div>
      {view.open.length > 0 && <LadderTable title="Not finished" rows={view.open} />}
      {view.sides.length > 0 && <SideTable rows={view.sides} />}
      {closed.length > 0 && <LadderTable title="Settings found" rows={closed} />}
      {hasMore && (
        <Button className="above-2" onClick={() => void showMore()}>
          Show older ones
        </Button>
      )}
      {view.open.length === 0 && closed.length === 0 && (
        <p className="sheet lifted text-large">
          A ladder finds it in about four small cuts: cut a figure, say how it came out, and the next force follows. It
          ends when the setting is clean and has room to both sides, and is kept under a name that the bench begins
          with.
        </p>
      )}
      {isMounted && <TrustTable />}
      {isMounted && (
        <WhenSeen>
          <FloorTable />
        </WhenSeen>
      )}
      {view.labels.length > 0 && <LabelTable rows={view.labels} />}
      {isMounted && (
        <WhenSeen>
          <GuessesPanel />
        </WhenSeen>
      )}
      {isMounted && (
        <WhenSeen>
          <LearnPanel />
        </WhenSeen>
      )}
      {isNew && <NewLadder vinylId={vinylId} onClose={() => setIsNew(false)} />}
      {isNewSide && <NewSide onClose={() => setIsNewSide(false)} />}
    </>
  );
}

function LadderTable({ title, rows }: { readonly title: string; readonly rows: readonly LadderRow[] }) {
  const settings = useSettings();
  return (
    <section className="sheet above-3" aria-label={title}>
      <h2 className="flat below-2">{title}</h2>
      <div className="scrolls" tabIndex={0} role="region" aria-label={`${title}, table`}>
        <table className="plain">
          <thead>
            <tr>
              <th scope="col">Vinyl</th>
              <th scope="col">What was found</th>
              <th scope="col">Setting</th>
              <th scope="col">Cuts</th>
              <th scope="col">Begun</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.id}>
                <th scope="row">
                  <a href={`/trials/ladder/${row.id}`}>
                    <Swatch colour={row.colourHex} />
                    {row.vinylName}
                  </a>
                  {row.lot && <div className="soft">{nameLot(row.lot)}</div>}
                </th>
                <td>{describeVerdict(row.verdict)}</td>
                <td>
                  {row.cleanSetting && describeSetting(row.cleanSetting)}
                  {row.presetName && <div className="soft">kept as “{row.presetName}”</div>}
                </td>
                <td>{row.cuts}</td>
                <td>{formatInstant(row.startedAtMs, settings)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
