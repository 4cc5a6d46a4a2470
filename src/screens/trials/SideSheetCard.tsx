// The sheet of one candidate: filled in at the bench with its clocks, then what it came to and what was seen later.

import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { BACKINGS, LIFTS, RESIDUES, SIDE_CLOCKS, STICKS, type SideClock, type SideSheet } from '../../core/trials';
import { formatClock, formatDuration } from '../../core/units';
import type { SideCandidateView } from '../../views/trials';
import { describeSetting } from '../../wording/cutting';
import { FAULT_WORDS } from '../../wording/side-by-side';
import { useServerNow } from '../shared/Frame';
import LaterPanel from '../shared/LaterPanel';
import { NumberInput } from '../shared/NumberInput';
import { useSettings } from '../shared/settings';
import { Swatch } from '../shared/Swatch';
import { useDraft } from '../shared/use-draft';
import { Why } from '../shared/Why';
import type { SideAtHand } from './use-side';

type Props = { readonly at: SideAtHand; readonly candidate: SideCandidateView; readonly isBest: boolean };

export function SideSheetCard({ at, candidate, isBest }: Props) {
  const { name, colourHex, setting, isFilled, vinylId, vinylName } = candidate;
  return (
    <section className={`sheet ${isBest ? 'lifted' : ''}`} aria-label={name}>
      <h2 className="flat">
        <Swatch colour={colourHex} />
        {name}
      </h2>
      <p className="soft flat below-2">
        {name.startsWith(vinylName) ? '' : `${vinylName}. `}
        {setting ? (
          describeSetting(setting)
        ) : (
          <>
            Its setting is not known: <a href={`/trials?vinyl=${vinylId}`}>find it first</a>.
          </>
        )}
      </p>
      {isFilled ? <Filled at={at} candidate={candidate} /> : <OpenSheet at={at} candidate={candidate} />}
      {isFilled && <LaterPanel of={{ candidateId: candidate.id }} onChanged={at.refresh} />}
    </section>
  );
}

type PartProps = Omit<Props, 'isBest'>;
const CLOCK_WORDS: Readonly<Record<SideClock, string>> = { cut: 'Cutting', weed: 'Weeding' };
const SECONDS_OF = { cut: 'cutSeconds', weed: 'weedSeconds' } as const;
const MINUTE_S = 60;

/** What is typed lies over what the server has; a time that is not typed follows the clock. */
function OpenSheet({ at, candidate }: PartProps) {
  const [edits, setEdits] = useState<Partial<SideSheet>>({});
  const sheet = { ...candidate.sheet, ...edits };
  const write = (change: Partial<SideSheet>) => setEdits({ ...edits, ...change });
  const draft = useDraft({
    key: `side sheet ${candidate.id}`,
    value: edits,
    isChanged: Object.keys(edits).length > 0,
    restore: setEdits,
    restart: () => setEdits({}),
  });
  const close = async () => {
    await at.fill(candidate.id, sheet);
    setEdits({});
    draft.clear();
  };
  return (
    <>
      <div className="fields">
        {SIDE_CLOCKS.map((what) => (
          <TimedField key={what} at={at} candidate={candidate} what={what} sheet={sheet} onWrite={write} />
        ))}
      </div>
      <div className="fields above-3">
        <NumberInput
          shown
          whole
          label={`Lost, of ${at.side.pieces}`}
          value={sheet.lost}
          onChange={(lost) => write({ lost })}
        />
        <Mark label="Backing" of={BACKINGS} value={sheet.backing} onPick={(backing) => write({ backing })} />
        <Mark label="Off the tape" of={LIFTS} value={sheet.lift} onPick={(lift) => write({ lift })} />
        <Mark label="Sticks" of={STICKS} value={sheet.stick} onPick={(stick) => write({ stick })} />
        <Mark label="Left on the mat" of={RESIDUES} value={sheet.residue} onPick={(residue) => write({ residue })} />
      </div>
      <TextField
        className="above-3"
        size="small"
        fullWidth
        multiline
        label="Note"
        value={sheet.note}
        onChange={({ target }) => write({ note: target.value })}
      />
      <div className="actions above-3">
        <Button variant="contained" disabled={at.pending} onClick={() => void close().catch(() => undefined)}>
          Close the sheet
        </Button>
      </div>
    </>
  );
}

type TimedProps = PartProps & {
  readonly what: SideClock;
  readonly sheet: SideSheet;
  readonly onWrite: (change: Partial<SideSheet>) => void;
};

function TimedField({ at, candidate, what, sheet, onWrite }: TimedProps) {
  const { clock, id } = candidate;
  const isRunning = clock?.what === what;
  const field = SECONDS_OF[what];
  return (
    <div>
      <NumberInput
        shown
        label={CLOCK_WORDS[what]}
        unit="min"
        value={roundMinutes(sheet[field] ?? 0)}
        onChange={(minutes) => onWrite({ [field]: minutes === 0 ? null : minutes * MINUTE_S })}
      />
      <div className="actions above-1">
        <Button
          size="small"
          aria-pressed={isRunning}
          disabled={at.pending}
          onClick={() => at.clock(id, isRunning ? null : what)}
        >
          {isRunning ? 'Stop' : 'Time it'}
        </Button>
        {isRunning && <Running sinceMs={clock.sinceMs} nowMs={at.side.nowMs} />}
      </div>
    </div>
  );
}

/** As a minute is written: to a tenth. */
const TENTHS = 10;
const roundMinutes = (seconds: number): number => Math.round((seconds / MINUTE_S) * TENTHS) / TENTHS;

function Running({ sinceMs, nowMs }: { readonly sinceMs: number; readonly nowMs: number }) {
  const now = useServerNow(nowMs);
  return <strong role="timer">{formatClock(Math.max(0, (now - sinceMs) / 1000))}</strong>;
}

type MarkProps<Word extends string> = {
  readonly label: string;
  readonly of: readonly Word[];
  readonly value: Word | null;
  readonly onPick: (word: Word | null) => void;
};

function Mark<Word extends string>({ label, of, value, onPick }: MarkProps<Word>) {
  return (
    <TextField
      select
      size="small"
      label={label}
      value={value ?? ''}
      onChange={({ target }) => onPick((target.value || null) as Word | null)}
      slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
    >
      <MenuItem value="">
        <span className="soft">not looked at</span>
      </MenuItem>
      {of.map((word) => (
        <MenuItem key={word} value={word}>
          {word}
        </MenuItem>
      ))}
    </TextField>
  );
}

function Filled({ at, candidate }: PartProps) {
  const settings = useSettings();
  const { sheet, faults, perGood, id } = candidate;
  const time = (seconds: number | null) => (seconds === null ? 'not timed' : formatDuration(seconds, settings));
  const marks = [
    sheet.backing && `Backing ${sheet.backing}`,
    sheet.lift && `Off the tape ${sheet.lift}`,
    sheet.stick && `Sticks: ${sheet.stick}`,
    sheet.residue && `Left on the mat: ${sheet.residue}`,
  ].filter(Boolean);
  return (
    <>
      <dl className="ladder-facts">
        <dt>A good piece</dt>
        <dd>{perGood ? <Why figure={perGood} /> : 'not timed'}</dd>
        <dt>Cutting, weeding</dt>
        <dd>
          {time(sheet.cutSeconds)}, {time(sheet.weedSeconds)}
        </dd>
        <dt>Lost</dt>
        <dd>
          {sheet.lost} of {at.side.pieces}
        </dd>
      </dl>
      {marks.length > 0 && <p className="flat above-2">{marks.join('. ')}.</p>}
      {faults.length > 0 && (
        <p className="short flat above-2">No choice: {faults.map((fault) => FAULT_WORDS[fault]).join(', ')}.</p>
      )}
      {sheet.note && <p className="soft flat above-2">{sheet.note}</p>}
      <div className="actions above-2">
        <Button size="small" disabled={at.pending} onClick={() => at.reopen(id)}>
          Open the sheet again
        </Button>
      </div>
    </>
  );
}
