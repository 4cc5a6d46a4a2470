// Lettering: words in a typeface, on lines or an arc, as one outline that can be cut.

import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMemo, useState } from 'react';
import { TYPEFACES, type PrepStep } from '../../core/artwork';
import { formatLength } from '../../core/units';
import type { FrameView } from '../../views/frame';
import { describeLetterProblem } from '../../wording/problems';
import { ApiError, callApi, wordsOf } from '../shared/api';
import { Frame } from '../shared/Frame';
import { SeamView } from '../shared/SeamView';
import { useSettings } from '../shared/settings';
import { Working } from '../shared/Working';
import { fitWidth, MOST_NAMES, NameList } from './NameList';
import { usePrepared } from './use-prepared';
import { WidthField } from './WidthField';
import { type Form, START, TRACKINGS } from './lettering-form';
import { useSetTexts } from './use-set-texts';
import { InsetField } from './InsetField';
import { plural } from '../../wording/plural';

export function LetteringScreen({ frame }: { frame: FrameView }) {
  return (
    <Frame frame={frame} current="artwork" newHref="/artwork/new">
      <Lettering />
    </Frame>
  );
}

function Lettering() {
  const settings = useSettings();
  const [form, setForm] = useState<Form>(START);
  const [failure, setFailure] = useState<string | null>(null);
  const [saving, setSaving] = useState(false);
  const set = (part: Partial<Form>) => {
    setSaved(0);
    setForm({ ...form, ...part });
  };
  const { set: texts, asking } = useSetTexts(form);
  const [at, setAt] = useState(0);
  const [saved, setSaved] = useState(0);
  const shown = texts[Math.min(at, texts.length - 1)];
  const natural = shown?.answer.ok ? shown.answer.value : null;
  const result = useMemo(
    () => natural && fitWidth(natural, form.list ? form.widestMm : null),
    [natural, form.list, form.widestMm],
  );
  const problem =
    texts.flatMap(({ text, answer }) =>
      answer.ok ? [] : [`${form.list ? `${text}: ` : ''}${describeLetterProblem(answer.problem)}`],
    )[0] ?? null;
  const steps = useMemo(
    (): readonly PrepStep[] | null => (result ? [{ kind: 'size', widthMm: result.widthMm, on: true }] : null),
    [result],
  );
  const { prepared } = usePrepared(result?.svg ?? null, steps, {});
  const face = TYPEFACES.find((candidate) => candidate.key === form.typeface)!;
  const save = async () => {
    if (!result || !steps) return;
    setSaving(true);
    try {
      let id = 0;
      // One after another: where one is refused, those before it are saved, and the rest can be saved once it is
      // mended.
      for (const { text, answer } of texts.slice(saved)) {
        if (!answer.ok) throw new ApiError('invalid', `${text}: ${describeLetterProblem(answer.problem)}`);
        const { svg, widthMm } = fitWidth(answer.value, form.list ? form.widestMm : null);
        const facts = JSON.stringify({
          name: text.replace(/\s+/g, ' ').trim().slice(0, 120),
          fileName: 'lettering.svg',
          licence: 'open',
          steps: [{ kind: 'size', widthMm, on: true }],
          layerNames: form.pair ? ['outline', 'fill'] : ['letters'],
          layerVinylIds: [],
        });
        ({ id } = await callApi<{ id: number }>(
          'POST',
          `/api/artwork?${new URLSearchParams({ facts }).toString()}`,
          new Blob([svg], { type: 'image/svg+xml' }),
        ));
        if (form.list) setSaved((count) => count + 1);
      }
      location.assign(form.list ? '/artwork' : `/artwork/${id}`);
    } catch (error) {
      setFailure(wordsOf(error));
      setSaving(false);
    }
  };
  const layer = prepared?.measurement.layers[0];
  return (
    <>
      <div className="page-head">
        <div>
          <h1 className="flat">
            {form.text.trim() === ''
              ? 'Set lettering'
              : form.list
                ? `${plural(texts.length, 'name')}`
                : form.text.replace(/\s+/g, ' ')}
          </h1>
          <p aria-live="polite" className="flat above-1 text-large">
            {prepared && result && layer
              ? `${form.list ? `${shown!.text}: ` : ''}${formatLength(result.widthMm, settings)} × ${formatLength(result.heightMm, settings)}: ${layer.pieces} pieces, ${layer.cavities} cavities to weed, strokes from ${layer.thinnestStroke ? formatLength(layer.thinnestStroke.widthMm, settings, 1) : '–'}.`
              : 'Kerned, joined, and one outline without overlaps.'}
          </p>
        </div>
        <div className="actions">
          <Button href="/artwork">Back to the drawings</Button>
          <Button
            variant="contained"
            disabled={texts.length === 0 || saving || asking.busy || problem !== null}
            onClick={() => void save()}
          >
            {saving && form.list
              ? `Saving ${Math.min(saved + 1, texts.length)} of ${texts.length}`
              : form.list
                ? `Save ${texts.length === 1 ? 'this name' : `these ${texts.length} names`}`
                : 'Save this lettering'}
          </Button>
        </div>
      </div>
      <Working doing="Setting the letters" asking={asking} />
      {(failure ?? (form.text.trim() === '' ? null : problem)) && (
        <div className="notice bad" role="alert">
          {failure ?? problem}
        </div>
      )}
      <div className="cols split-1-2">
        <section className="sheet cols" aria-label="What it says">
          <TextField
            label="Words"
            value={form.text}
            onChange={(event) => set({ text: event.target.value })}
            multiline
            minRows={2}
            maxRows={form.list ? 12 : 6}
            autoFocus
            slotProps={{ htmlInput: { maxLength: form.list ? 12_000 : 400 } }}
            helperText={
              form.list ? `Each line is a piece of its own; ${MOST_NAMES} at most.` : 'A new line starts below.'
            }
          />
          <FormControlLabel
            control={<Checkbox checked={form.list} onChange={(_, list) => set({ list })} />}
            label="A list of names: each line a drawing of its own"
          />
          <TextField
            select
            label="Typeface"
            value={form.typeface}
            onChange={(event) => set({ typeface: event.target.value })}
            helperText={`${face.kind}; ${face.licence}`}
          >
            {TYPEFACES.map((option) => (
              <MenuItem key={option.key} value={option.key}>
                {option.name}&ensp;<span className="soft">{option.kind}</span>
              </MenuItem>
            ))}
          </TextField>
          <div className="fields">
            <WidthField
              label="Height of capitals"
              widthMm={form.capHeightMm}
              onChange={(capHeightMm) => set({ capHeightMm })}
            />
            <TextField
              select
              label="Case"
              value={form.letterCase}
              onChange={(event) => set({ letterCase: event.target.value as Form['letterCase'] })}
            >
              <MenuItem value="as-typed">as typed</MenuItem>
              <MenuItem value="upper">capitals</MenuItem>
              <MenuItem value="lower">small letters</MenuItem>
            </TextField>
            <TextField
              select
              label="Spacing"
              value={form.tracking}
              onChange={(event) => set({ tracking: Number(event.target.value) })}
            >
              {TRACKINGS.map(([value, name]) => (
                <MenuItem key={value} value={value}>
                  {name}
                </MenuItem>
              ))}
            </TextField>
            <TextField
              select
              label="Lines"
              value={form.align}
              onChange={(event) => set({ align: event.target.value as Form['align'] })}
            >
              <MenuItem value="left">from the left</MenuItem>
              <MenuItem value="centre">centred</MenuItem>
              <MenuItem value="right">to the right</MenuItem>
            </TextField>
            <TextField
              select
              label="Baseline"
              value={form.curve}
              onChange={(event) => set({ curve: event.target.value as Form['curve'] })}
            >
              <MenuItem value="straight">straight</MenuItem>
              <MenuItem value="up">on an arc, upwards</MenuItem>
              <MenuItem value="down">on an arc, downwards</MenuItem>
            </TextField>
            {form.list && (
              <WidthField
                label="No wider than"
                widthMm={form.widestMm}
                optional
                onChange={(widestMm) => set({ widestMm })}
              />
            )}
            {form.curve !== 'straight' && (
              <WidthField
                label="Radius of the arc"
                widthMm={form.radiusMm}
                onChange={(radiusMm) => set({ radiusMm })}
              />
            )}
          </div>
          <FormControlLabel
            control={<Checkbox checked={form.pair} onChange={(_, pair) => set({ pair })} />}
            label="A second colour inside, smaller all round"
          />
          {form.pair && <InsetField insetMm={form.insetMm} onChange={(insetMm) => set({ insetMm })} />}
        </section>
        <section className="sheet flush lifted" aria-label="As it will be cut">
          {prepared && result ? (
            <SeamView
              picture={prepared.picture}
              mirrored
              cutCaption="mirrored for heat transfer"
              name={shown!.text}
              size={`${formatLength(result.widthMm, settings)} × ${formatLength(result.heightMm, settings)}`}
              height={420}
            />
          ) : (
            <div className="empty">
              <p>Write some words: they appear here, as worn and as cut.</p>
            </div>
          )}
          {form.list && texts.length > 0 && (
            <NameList texts={texts} widestMm={form.widestMm} chosen={Math.min(at, texts.length - 1)} onChoose={setAt} />
          )}
        </section>
      </div>
    </>
  );
}
