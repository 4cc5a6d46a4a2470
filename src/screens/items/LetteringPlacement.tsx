// A customer's own text as a place of an item: how it is set, tried with a usual text that the item is calculated by.

import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import { TYPEFACES, type Lettering } from '../../core/artwork';
import { formatLength } from '../../core/units';
import { describeFit } from '../../wording/lettering';
import type { SetTextView } from '../../views/letterings';
import { callApi, wordsOf } from '../shared/api';
import { NumberBox } from '../shared/NumberBox';
import { useSettings } from '../shared/settings';
import { useLatest } from '../shared/use-latest';
import { toSent, useNumbers } from '../shared/use-numbers';
import { useTyped } from '../shared/use-typed';
import type { ItemForm } from './item-form';

type Path = `placements.${number}` | `details.options.${number}.placement`;
type Props = {
  readonly form: UseFormReturn<ItemForm>;
  readonly path: Path;
  readonly start: Lettering;
  /** A drawing instead. */
  readonly onLeave: () => void;
};

const PAUSE_MS = 300;

export default function LetteringPlacement({ form, path, start, onLeave }: Props) {
  const [lettering, setLettering] = useState(start);
  const [answer, setAnswer] = useState<SetTextView | { readonly failure: string } | null>(null);
  const change = (part: Partial<Lettering>) => setLettering((before) => ({ ...before, ...part }));
  useLatest(
    lettering.sample.trim() === '' || lettering.label.trim() === '' ? null : JSON.stringify(lettering),
    PAUSE_MS,
    async (signal) => {
      try {
        const wish = { texts: [{ text: lettering.sample, lettering, smaller: false }] };
        const { texts } = await callApi<{ texts: readonly [SetTextView] }>('POST', '/api/letterings', wish, signal);
        return { lettering, set: texts[0] };
      } catch (error) {
        if (signal.aborted) throw error;
        return { lettering, set: { failure: wordsOf(error) } };
      }
    },
    ({ lettering: asked, set }) => {
      setAnswer(set);
      if ('set' in set && set.set) keep(form, path, asked, set);
    },
  );
  return (
    <div className="whole-row fields group">
      <LetteringTexts lettering={lettering} change={change} />
      <LetteringSizes lettering={lettering} change={change} />
      <SampleNote answer={answer} />
      <div className="whole-row">
        <Button size="small" variant="text" onClick={onLeave}>
          A drawing instead
        </Button>
      </div>
    </div>
  );
}

/** The item holds what was set last, so that its sample and its letters always belong together. */
function keep(
  form: UseFormReturn<ItemForm>,
  path: Path,
  lettering: Lettering,
  { artworkId, fit }: Extract<SetTextView, { readonly set: true }>,
): void {
  const isSame =
    form.getValues(`${path}.artworkId`) === artworkId &&
    JSON.stringify(form.getValues(`${path}.lettering`)) === JSON.stringify(lettering);
  if (isSame) return;
  const vinylIds = form.getValues(`${path}.vinylIds`);
  const layers = lettering.insetMm === null ? 1 : 2;
  const dirty = { shouldDirty: true } as const;
  form.setValue(`${path}.lettering`, lettering, dirty);
  form.setValue(
    `${path}.vinylIds`,
    Array.from({ length: layers }, (_, at) => vinylIds[at] ?? vinylIds[0]!),
    dirty,
  );
  form.setValue(`${path}.widthMm`, Math.round(fit.widthMm * 10) / 10, dirty);
  form.setValue(`${path}.widths`, {}, dirty);
  form.setValue(`${path}.artworkId`, artworkId, dirty);
}

type PartProps = {
  readonly lettering: Lettering;
  readonly change: (part: Partial<Lettering>) => void;
};

function LetteringTexts({ lettering, change }: PartProps) {
  return (
    <>
      <TextField
        label="What it is called"
        helperText="As a list of names heads it: Surname, Seat"
        value={lettering.label}
        onChange={(event) => change({ label: event.target.value })}
      />
      <TextField
        label="For example"
        helperText="The item is calculated with it"
        value={lettering.sample}
        onChange={(event) => change({ sample: event.target.value })}
      />
      <Select
        label="It is"
        value={lettering.kind}
        options={[
          ['name', 'a name'],
          ['number', 'a number'],
          ['text', 'any text'],
        ]}
        onChange={(kind) => change({ kind })}
      />
      <Select
        label="Typeface"
        value={lettering.typeface}
        options={TYPEFACES.map(({ key, name }) => [key, name])}
        onChange={(typeface) => change({ typeface })}
      />
      <Select
        label="Capitals"
        value={lettering.letterCase}
        options={[
          ['upper', 'all in capitals'],
          ['as-typed', 'as the customer wrote it'],
          ['lower', 'none'],
        ]}
        onChange={(letterCase) => change({ letterCase })}
      />
      <Select
        label="Lines"
        value={String(lettering.mostLines) as '1' | '2'}
        options={[
          ['1', 'one'],
          ['2', 'two, where it is too wide'],
        ]}
        onChange={(lines) => change({ mostLines: lines === '2' ? 2 : 1 })}
      />
    </>
  );
}

function LetteringSizes({ lettering, change }: PartProps) {
  return (
    <>
      <Millimetres
        label="Height of capitals"
        value={lettering.capHeightMm}
        onChange={(capHeightMm) => capHeightMm !== null && change({ capHeightMm })}
      />
      <Millimetres
        label="No wider than"
        value={lettering.widestMm}
        onChange={(widestMm) => widestMm !== null && change({ widestMm })}
      />
      <Select
        label="Too wide"
        value={String(lettering.squeezeTo)}
        options={[
          ['1', 'is never squeezed'],
          ['0.85', 'is squeezed to 85 %'],
          ['0.75', 'is squeezed to 75 %'],
          ['0.65', 'is squeezed to 65 %'],
        ]}
        onChange={(share) => change({ squeezeTo: Number(share) })}
      />
      <Millimetres
        label="On an arc of radius"
        help="Empty for straight; below 0 along the inside"
        value={lettering.arcRadiusMm}
        onChange={(arcRadiusMm) => change({ arcRadiusMm })}
      />
      <Millimetres
        label="Inner letters stand back"
        help="For a pair in two vinyls; empty for one"
        value={lettering.insetMm}
        onChange={(insetMm) => change({ insetMm })}
      />
      {lettering.insetMm !== null && (
        <Millimetres
          label="Knock-out, overlap"
          help="Cuts the outer letters hollow; 0.5 is usual, empty for none"
          value={lettering.overlapMm ?? null}
          onChange={(overlapMm) => change({ overlapMm })}
        />
      )}
      <Millimetres
        label="Below the one above"
        help="Where several stand at one place"
        value={lettering.gapMm}
        onChange={(gapMm) => gapMm !== null && change({ gapMm })}
      />
    </>
  );
}

type SelectProps<Value extends string> = {
  readonly label: string;
  readonly value: Value;
  readonly options: readonly (readonly [Value, string])[];
  readonly onChange: (value: Value) => void;
};

function Select<Value extends string>({ label, value, options, onChange }: SelectProps<Value>) {
  return (
    <TextField select label={label} value={value} onChange={(event) => onChange(event.target.value as Value)}>
      {options.map(([option, words]) => (
        <MenuItem key={option} value={option}>
          {words}
        </MenuItem>
      ))}
    </TextField>
  );
}

type MillimetresProps = {
  readonly label: string;
  readonly help?: string;
  readonly value: number | null;
  /** Null for an empty field. */
  readonly onChange: (mm: number | null) => void;
};

function Millimetres({ label, help, value, onChange }: MillimetresProps) {
  const { read, write } = useNumbers();
  const typed = useTyped({
    value,
    write: (mm) => write(mm, 2),
    read,
    onChange: (number, text) => {
      const sent = toSent(number, text);
      if (sent === null || typeof sent === 'number') onChange(sent);
    },
  });
  return <NumberBox name={label} label={label} unit="mm" help={help} {...typed} />;
}

function SampleNote({ answer }: { readonly answer: SetTextView | { readonly failure: string } | null }) {
  const settings = useSettings();
  if (!answer) return null;
  if ('failure' in answer || !answer.set)
    return (
      <p className="short flat whole-row" role="status">
        {'failure' in answer ? answer.failure : `For example: ${answer.problem}`}
      </p>
    );
  const { fit, href } = answer;
  return (
    <div className="whole-row set-text" role="status">
      <img src={href} alt="The example as it is cut" />
      <span className="soft">
        {describeFit(fit, settings)}, {formatLength(fit.heightMm, settings)} high
      </span>
    </div>
  );
}
