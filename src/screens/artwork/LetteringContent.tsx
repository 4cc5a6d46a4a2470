// Lettering: words in a typeface, on lines or an arc, as one outline that can be cut.

import Button from '@mui/material/Button';
import '@mui/material/Checkbox';
import '@mui/material/FormControlLabel';
import '@mui/material/MenuItem';
import '@mui/material/TextField';
import { useMemo, useState } from 'react';
import { TYPEFACES, type PrepStep } from '../../core/artwork';
import { formatLength } from '../../core/units';
import { describeLetterProblem } from '../../wording/problems';
import { ApiError, callApi, wordsOf } from '../shared/api';
import { SeamView } from '../shared/SeamView';
import { useSettings } from '../shared/settings';
import { Working } from '../shared/Working';
import { fitWidth, NameList } from './NameList';
import { usePrepared } from './use-prepared';
import { type Form, START } from './lettering-form';
import { useSetTexts } from './use-set-texts';
import { describeLettering } from '../../wording/lettering';
import { plural } from '../../wording/plural';
import type { NamedText } from './NameList';
import type { PreparedFile } from '../../views/artwork';
import type { LayerMeasurement } from '../../core/artwork';
import type { Asking } from '../shared/use-latest';
import { LetteringFields } from './LetteringFields';
import { DraftNotice } from '../shared/DraftNotice';
import { Failure } from '../shared/Failure';
import { useDraft } from '../shared/use-draft';

export default function LetteringContent() {
  return <Lettering />;
}

type SaveInput = {
  readonly form: Form;
  readonly texts: ReturnType<typeof useSetTexts>['set'];
  readonly ready: boolean;
  readonly onSaved: () => void;
};

/** Saving what is lettered: one drawing, or one for each line of the list. */
function useSaveTexts({ form, texts, ready, onSaved }: SaveInput) {
  const [failure, setFailure] = useState<string | null>(null);
  const [saving, setSaving] = useState(false);
  const [saved, setSaved] = useState(0);
  const save = async () => {
    if (!ready) return;
    setSaving(true);
    try {
      let id = 0;
      // One after another: where one is refused, those before it are saved, and the rest can be saved once it is
      // mended.
      for (const { text, answer } of texts.slice(saved)) {
        id = await saveText(text, answer, form);
        if (form.list) setSaved((count) => count + 1);
      }
      onSaved();
      location.assign(form.list ? '/artwork' : `/artwork/${id}`);
    } catch (error) {
      setFailure(wordsOf(error));
      setSaving(false);
    }
  };
  return { save, saving, failure, saved, changed: () => setSaved(0) };
}

function Lettering() {
  const [form, setForm] = useState<Form>(START);
  const set = (part: Partial<Form>) => {
    changed();
    setForm({ ...form, ...part });
  };
  const draft = useDraft({
    key: 'lettering',
    value: form,
    isChanged: form !== START,
    restore: setForm,
    restart: () => setForm(START),
  });
  const { set: texts, asking } = useSetTexts(form);
  const [at, setAt] = useState(0);
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
  const { save, saving, failure, saved, changed } = useSaveTexts({
    form,
    texts,
    ready: result !== null,
    onSaved: draft.clear,
  });
  const layer = prepared?.measurement.layers[0];
  return (
    <>
      <LetteringHead
        form={form}
        texts={texts}
        prepared={prepared}
        result={result}
        layer={layer}
        shown={shown}
        saving={saving}
        asking={asking}
        problem={problem}
        save={save}
        saved={saved}
      />
      <DraftNotice draft={draft} />
      <Working doing="Setting the letters" asking={asking} />
      {(failure ?? (form.text.trim() === '' ? null : problem)) && <Failure>{failure ?? problem}</Failure>}
      <div className="cols split-1-2">
        <LetteringFields form={form} set={set} face={face} />
        <LetteringPreview
          prepared={prepared}
          result={result}
          shown={shown}
          form={form}
          texts={texts}
          at={at}
          setAt={setAt}
        />
      </div>
    </>
  );
}

/** Its words as a drawing of their own; the drawing's id. @throws ApiError where they can't be set or saved */
async function saveText(text: string, answer: NamedText['answer'], form: Form): Promise<number> {
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
  const { id } = await callApi<{ id: number }>(
    'POST',
    `/api/artwork?${new URLSearchParams({ facts }).toString()}`,
    new Blob([svg], { type: 'image/svg+xml' }),
  );
  return id;
}

type LetteringPreviewProps = {
  readonly prepared: PreparedFile | null;
  readonly result: { readonly svg: string; readonly widthMm: number; readonly heightMm: number } | null;
  readonly shown: NamedText | undefined;
  readonly form: Form;
  readonly texts: readonly NamedText[];
  readonly at: number;
  readonly setAt: React.Dispatch<React.SetStateAction<number>>;
};

function LetteringPreview({ prepared, result, shown, form, texts, at, setAt }: LetteringPreviewProps) {
  const settings = useSettings();
  return (
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
  );
}

type LetteringHeadProps = {
  readonly form: Form;
  readonly texts: readonly NamedText[];
  readonly prepared: PreparedFile | null;
  readonly result: { readonly svg: string; readonly widthMm: number; readonly heightMm: number } | null;
  readonly layer: LayerMeasurement | undefined;
  readonly shown: NamedText | undefined;
  readonly saving: boolean;
  readonly asking: Asking;
  readonly problem: string | null;
  readonly save: () => Promise<void>;
  readonly saved: number;
};

function LetteringHead({
  form,
  texts,
  prepared,
  result,
  layer,
  shown,
  saving,
  asking,
  problem,
  save,
  saved,
}: LetteringHeadProps) {
  const settings = useSettings();
  return (
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
            ? `${form.list ? `${shown!.text}: ` : ''}${describeLettering(result, layer, settings)}`
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
  );
}
