// A setting ladder: what is cut next, how it came out, and what is known by now.

import Button from '@mui/material/Button';
import { useState } from 'react';
import { suggestUse } from '../../core/trials';
import { formatInstant, formatShare } from '../../core/units';
import type { LadderView } from '../../views/trials';
import { describeSetting, TEST_RESULT_WORDS } from '../../wording/cutting';
import { plural } from '../../wording/plural';
import { nameLot } from '../../wording/stock';
import { adviseNext, describeVerdict, FIGURE_WORDS, START_WORDS } from '../../wording/trials';
import { callApi } from '../shared/api';
import { KeepSetting } from '../shared/KeepSetting';
import { useSettings } from '../shared/settings';
import { Swatch } from '../shared/Swatch';
import { Why } from '../shared/Why';
import { DeleteForGood } from './DeleteForGood';
import { LadderCutter } from './LadderCutter';
import { LadderPicture } from './LadderPicture';
import { LadderStep } from './LadderStep';
import { useLadder, type LadderAtHand } from './use-ladder';

export default function LadderContent({ view }: { view: LadderView }) {
  return <LadderPage initial={view} />;
}

function LadderPage({ initial }: { readonly initial: LadderView }) {
  const at = useLadder(initial);
  const { ladder } = at;
  const settings = useSettings();
  return (
    <>
      <div className="page-head">
        <div>
          <h1 className="flat">{describeVerdict(ladder.verdict)}</h1>
          <p className="flat soft">
            <Swatch colour={ladder.colourHex} />
            {ladder.vinylName}
            {ladder.lot && `, ${nameLot(ladder.lot)}${ladder.lot.remark ? ` (${ladder.lot.remark})` : ''}`}.{' '}
            {ladder.closedAtMs !== null && `Closed ${formatInstant(ladder.closedAtMs, settings)}. `}
          </p>
        </div>
        <LadderActions at={at} />
      </div>
      <div className="ladder-cols">
        <section className="sheet lifted" aria-label="The next step">
          <p className="text-large flat" role="status">
            {adviseNext(ladder, settings)}
          </p>
          {ladder.closedAtMs === null && <LadderStep at={at} />}
          <Keep at={at} />
          {ladder.closedAtMs === null && <LadderCutter at={at} />}
        </section>
        <Known at={at} />
      </div>
    </>
  );
}

function LadderActions({ at }: { readonly at: LadderAtHand }) {
  const { id, closedAtMs, cuts, presetName } = at.ladder;
  const also = presetName === null ? '' : ` The setting “${presetName}” goes with it.`;
  return (
    <div className="actions">
      <Button href="/trials">All trials</Button>
      <DeleteForGood path={`/api/ladders/${id}`} warning={`What it told no longer counts.${also}`} />
      {closedAtMs === null && (
        <>
          <Button disabled={at.pending || cuts.length === 0} onClick={() => at.step('undo')}>
            Take back the last answer
          </Button>
          <Button onClick={() => at.step('close')}>Close it as it is</Button>
        </>
      )}
    </div>
  );
}

function Keep({ at }: { readonly at: LadderAtHand }) {
  const { id, vinylName, cleanSetting, fine, presetName, verdict, cuts } = at.ladder;
  if (presetName !== null)
    return (
      <p className="flat above-3">
        Kept as <strong>“{presetName}”</strong>: loads of {vinylName} begin with it.
      </p>
    );
  if (!cleanSetting || verdict.kind === 'going-on') return null;
  const keep = async (name: string, use: string) => {
    await callApi('POST', `/api/ladders/${id}/keep`, { name, use });
    await at.refresh();
  };
  return (
    <>
      <p className="flat above-3">{describeSetting(cleanSetting)}</p>
      <KeepSetting key={`${cuts.length} ${fine}`} called={vinylName} use={suggestUse(fine)} onKeep={keep} />
    </>
  );
}

const SURER = [0.8, 0.9, 0.95] as const;

function Known({ at }: { readonly at: LadderAtHand }) {
  const { ladder } = at;
  const settings = useSettings();
  const [all, setAll] = useState(false);
  const { cuts, doubts, room, spent, time, enough } = ladder;
  return (
    <section className="sheet" aria-label="What is known">
      <LadderPicture ladder={ladder} />
      <dl className="ladder-facts">
        {room && (
          <>
            <dt>Room to both sides</dt>
            <dd>
              <Why figure={room} /> likely; wanted {formatShare(enough, settings, 0)}{' '}
              {SURER.filter((one) => one !== enough).map((one) => (
                <button
                  key={one}
                  className="quiet"
                  disabled={at.pending}
                  onClick={() => at.step('enough', { enough: one })}
                >
                  want {formatShare(one, settings, 0)}
                </button>
              ))}
            </dd>
          </>
        )}
        <dt>Vinyl and time</dt>
        <dd>
          <Why figure={spent} /> · <Why figure={time} />
        </dd>
        <dt>Begun at</dt>
        <dd>
          {Math.round(ladder.startGrams)} g: {START_WORDS[ladder.startFrom]}
        </dd>
        <dt>Figure</dt>
        <dd>
          {ladder.figureName ?? FIGURE_WORDS[ladder.figure]}, {ladder.sideMm} mm
        </dd>
      </dl>
      {doubts.length > 0 && (
        <p className="short flat above-2" role="status">
          {plural(doubts.length, 'answer')} will not fit the others: cut {doubts.map((one) => one + 1).join(', ')}. Look
          again, or cut it once more; it counts as doubt.
        </p>
      )}
      <ol className="tries">
        {(all ? cuts : cuts.slice(-8)).map(({ setting, result, atMs }) => (
          <li key={atMs}>
            {describeSetting(setting)}: <strong>{TEST_RESULT_WORDS[result].name}</strong>
          </li>
        ))}
      </ol>
      {!all && cuts.length > 8 && (
        <button className="quiet" onClick={() => setAll(true)}>
          show all {cuts.length}
        </button>
      )}
    </section>
  );
}
