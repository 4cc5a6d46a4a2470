// Lettering: words in a typeface, on lines or an arc, as one outline that can be cut.

import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useEffect, useMemo, useState } from 'react';
import { TYPEFACES, type PrepStep } from '../../core/artwork';
import type { LetterOptions } from '../../core/artwork/lettering/letter';
import { formatLength } from '../../core/units';
import type { FrameView } from '../../views/views';
import { describeLetterProblem } from '../../wording/problems';
import { letterInWorker, type SetText } from '../../workers/source-client';
import { callApi, wordsOf } from '../shared/api';
import { Frame } from '../shared/Frame';
import { SeamView } from '../shared/SeamView';
import { useSettings } from '../shared/settings';
import { loadTypeface } from './typeface-files';
import { usePrepared } from './use-prepared';
import { WidthField } from './WidthField';

export function LetteringScreen({ frame }: { frame: FrameView }) {
  return <Frame frame={frame} current="artwork" newHref="/artwork/new"><Lettering /></Frame>;
}

type Form = { readonly text: string; readonly typeface: string; readonly capHeightMm: number | null; readonly letterCase: NonNullable<LetterOptions['letterCase']>; readonly align: NonNullable<LetterOptions['align']>; readonly tracking: number; readonly lineSpacing: number; readonly curve: 'straight' | 'up' | 'down'; readonly radiusMm: number | null; readonly pair: boolean; readonly insetMm: number | null };
const START: Form = { text: '', typeface: 'alfa-slab-one', capHeightMm: 40, letterCase: 'as-typed', align: 'centre', tracking: 0, lineSpacing: 1.6, curve: 'straight', radiusMm: 120, pair: false, insetMm: 1.5 };
const TRACKINGS = [[-0.03, 'tight'], [0, 'as drawn'], [0.05, 'open'], [0.12, 'wide'], [0.25, 'very wide']] as const;

function toOptions(form: Form): LetterOptions | null {
  if (form.capHeightMm === null || form.capHeightMm < 3 || (form.curve !== 'straight' && (form.radiusMm ?? 0) < 3) || (form.pair && !form.insetMm)) return null;
  return {
    capHeightMm: form.capHeightMm, letterCase: form.letterCase, align: form.align, tracking: form.tracking, lineSpacing: form.lineSpacing,
    ...(form.curve === 'straight' ? {} : { arcRadiusMm: form.curve === 'up' ? form.radiusMm! : -form.radiusMm! }), ...(form.pair ? { insetMm: form.insetMm! } : {}),
  };
}

function Lettering() {
  const settings = useSettings();
  const [form, setForm] = useState<Form>(START);
  const [failure, setFailure] = useState<string | null>(null);
  const [saving, setSaving] = useState(false);
  const set = (part: Partial<Form>) => setForm({ ...form, ...part });
  const { result, problem } = useSetText(form);
  const steps = useMemo((): readonly PrepStep[] | null => (result ? [{ kind: 'size', widthMm: result.widthMm, on: true }] : null), [result]);
  const { prepared } = usePrepared(result?.svg ?? null, steps, {});
  const face = TYPEFACES.find((candidate) => candidate.key === form.typeface)!;
  const keep = async () => {
    if (!result || !steps) return;
    setSaving(true);
    try {
      const name = form.text.replace(/\s+/g, ' ').trim().slice(0, 120);
      const facts = JSON.stringify({ name, fileName: 'lettering.svg', licence: 'open', steps, layerNames: form.pair ? ['outline', 'fill'] : ['letters'], layerVinylIds: [] });
      const { id } = await callApi<{ id: number }>('POST', `/api/artwork?${new URLSearchParams({ facts }).toString()}`, new Blob([result.svg], { type: 'image/svg+xml' }));
      location.assign(`/artwork/${id}`);
    } catch (error) {
      setFailure(wordsOf(error));
      setSaving(false);
    }
  };
  const layer = prepared?.measurement.layers[0];
  return (
    <>
      <div className="page-head">
        <div><h1 style={{ margin: 0 }}>{form.text.trim() === '' ? 'Set lettering' : form.text.replace(/\s+/g, ' ')}</h1><p style={{ margin: '4px 0 0', fontSize: '1.12rem' }} aria-live="polite">{prepared && result && layer ? `${formatLength(result.widthMm, settings)} × ${formatLength(result.heightMm, settings)}: ${layer.pieces} pieces, ${layer.cavities} cavities to weed, strokes from ${layer.thinnestStroke ? formatLength(layer.thinnestStroke.widthMm, settings, 1) : '–'}.` : 'Kerned, joined, and one outline without overlaps.'}</p></div>
        <div className="actions"><Button href="/artwork">Back to the drawings</Button><Button variant="contained" disabled={!result || saving} onClick={() => void keep()}>Keep this lettering</Button></div>
      </div>
      {(failure ?? (form.text.trim() === '' ? null : problem)) && <div className="notice bad" role="alert">{failure ?? problem}</div>}
      <div className="cols" style={{ gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1.9fr)' }}>
        <section className="sheet cols" aria-label="What it says">
          <TextField label="Words" value={form.text} onChange={(event) => set({ text: event.target.value })} multiline minRows={2} maxRows={6} autoFocus slotProps={{ htmlInput: { maxLength: 400 } }} helperText="A new line starts below." />
          <TextField select label="Typeface" value={form.typeface} onChange={(event) => set({ typeface: event.target.value })} helperText={`${face.kind}; ${face.licence}`}>{TYPEFACES.map((option) => <MenuItem key={option.key} value={option.key}>{option.name}&ensp;<span className="soft">{option.kind}</span></MenuItem>)}</TextField>
          <div className="fields">
            <WidthField label="Height of capitals" widthMm={form.capHeightMm} onChange={(capHeightMm) => set({ capHeightMm })} />
            <TextField select label="Case" value={form.letterCase} onChange={(event) => set({ letterCase: event.target.value as Form['letterCase'] })}><MenuItem value="as-typed">as typed</MenuItem><MenuItem value="upper">capitals</MenuItem><MenuItem value="lower">small letters</MenuItem></TextField>
            <TextField select label="Spacing" value={form.tracking} onChange={(event) => set({ tracking: Number(event.target.value) })}>{TRACKINGS.map(([value, name]) => <MenuItem key={value} value={value}>{name}</MenuItem>)}</TextField>
            <TextField select label="Lines" value={form.align} onChange={(event) => set({ align: event.target.value as Form['align'] })}><MenuItem value="left">from the left</MenuItem><MenuItem value="centre">centred</MenuItem><MenuItem value="right">to the right</MenuItem></TextField>
            <TextField select label="Baseline" value={form.curve} onChange={(event) => set({ curve: event.target.value as Form['curve'] })}><MenuItem value="straight">straight</MenuItem><MenuItem value="up">on an arc, upwards</MenuItem><MenuItem value="down">on an arc, downwards</MenuItem></TextField>
            {form.curve !== 'straight' && <WidthField label="Radius of the arc" widthMm={form.radiusMm} onChange={(radiusMm) => set({ radiusMm })} />}
          </div>
          <FormControlLabel control={<Checkbox checked={form.pair} onChange={(_, pair) => set({ pair })} />} label="A second colour inside, smaller all round" />
          {form.pair && <InsetField insetMm={form.insetMm} onChange={(insetMm) => set({ insetMm })} />}
        </section>
        <section className="sheet flush lifted" aria-label="As it will be cut">
          {prepared && result ? <SeamView picture={prepared.picture} mirrored cutCaption="mirrored for heat transfer" name={form.text} size={`${formatLength(result.widthMm, settings)} × ${formatLength(result.heightMm, settings)}`} height={420} /> : <div className="empty"><p>Write some words: they appear here, as worn and as cut.</p></div>}
        </section>
      </div>
    </>
  );
}

function InsetField({ insetMm, onChange }: { insetMm: number | null; onChange: (insetMm: number | null) => void }) {
  return <TextField select label="Smaller by" value={insetMm ?? 1.5} onChange={(event) => onChange(Number(event.target.value))}>{[0.5, 0.8, 1, 1.5, 2, 3, 4].map((value) => <MenuItem key={value} value={value}>{value} mm</MenuItem>)}</TextField>;
}

/** Sets the text in the worker whenever the form changes; the last good one stays. */
function useSetText(form: Form): { readonly result: SetText | null; readonly problem: string | null } {
  const [state, setState] = useState<{ result: SetText | null; problem: string | null }>({ result: null, problem: null });
  useEffect(() => {
    const options = toOptions(form);
    if (form.text.trim() === '') return setState({ result: null, problem: null });
    if (!options) return undefined;
    const stop = new AbortController();
    const timer = setTimeout(() => {
      letterInWorker({ text: form.text, fontKey: form.typeface, loadFont: () => loadTypeface(form.typeface), options }, stop.signal).then(
        (answer) => setState(answer.ok ? { result: answer.value, problem: null } : { result: null, problem: describeLetterProblem(answer.problem) }),
        (error: unknown) => {
          if (!(error instanceof DOMException && error.name === 'AbortError')) throw error;
        },
      );
    }, 150);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [form]);
  return state;
}
