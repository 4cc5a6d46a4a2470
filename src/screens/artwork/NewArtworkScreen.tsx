// A drawing comes in: dropped, chosen or pasted; measured at once; saved when wanted.

import Button from '@mui/material/Button';
import { useEffect, useMemo, useRef, useState } from 'react';
import { decodeText, FILE_LIMIT_BYTES, type ArtworkPicture } from '../../core/artwork';
import type { FrameView } from '../../views/frame';
import type { VinylView } from '../../views/shelf';
import { describeArtworkProblem } from '../../wording/problems';
import { callApi, wordsOf } from '../shared/api';
import { Frame } from '../shared/Frame';
import { Picture } from '../shared/Picture';
import { useSettings } from '../shared/settings';
import { Working } from '../shared/Working';
import { openInWorker, wakeWorker } from '../../workers/artwork-client';
import { ArtworkDesk } from './ArtworkDesk';
import { startDesk, toSteps, useDesk } from './desk-state';
import { makeNameOf, toMaterials } from './layer-names';
import { TRACE_START, TracePanel, useTraced } from './TracePanel';
import { usePrepared } from './use-prepared';
import { plural } from '../../wording/plural';
import type { Asking } from '../shared/use-latest';
import type { DeskState } from './desk-state';
import type { PrepStep } from '../../core/artwork';
import type { PreparedFile } from '../../views/artwork';
import { Failure } from '../shared/Failure';

export function NewArtworkScreen({ frame, vinyls }: { frame: FrameView; vinyls: readonly VinylView[] }) {
  return (
    <Frame frame={frame} current="artwork">
      <NewArtwork vinyls={vinyls} />
    </Frame>
  );
}

type Drawing = { readonly text: string; readonly fileName: string; readonly blob: Blob };

function NewArtwork({ vinyls }: { vinyls: readonly VinylView[] }) {
  const settings = useSettings();
  const [drawing, setDrawing] = useState<Drawing | null>(null);
  /** Of a drawing that is still being measured. */
  const [early, setEarly] = useState<ArtworkPicture | null>(null);
  const desk = useDesk(startDesk('', []));
  const { state } = desk;
  const [refusal, setRefusal] = useState<string | null>(null);
  const [over, setOver] = useState(false);
  const [saving, setSaving] = useState(false);
  const chooser = useRef<HTMLInputElement>(null);
  const steps = toSteps(state);
  const materials = useMemo(
    () => toMaterials(state.vinylIds, vinyls, settings.shop.figures),
    [state.vinylIds, vinyls, settings.shop.figures],
  );
  const { prepared, current, problem, asking } = usePrepared(drawing?.text ?? null, steps, materials);
  const nameOf = makeNameOf(state.names);

  const [picture, setPicture] = useState<File | Blob | null>(null);
  const [pictureNumber, setPictureNumber] = useState(0);
  const [pictureName, setPictureName] = useState('');
  const [tracing, setTracing] = useState(TRACE_START);
  // Only the newest file counts; one that is stopped is let be, and what was there stays.
  const [reading, setReading] = useState(false);
  const newest = useRef(0);
  const stopReading = () => {
    newest.current++;
    setReading(false);
  };
  const takeDrawing = async (text: string, fileName: string, blob: Blob) => {
    const own = ++newest.current;
    setReading(true);
    const first = await openInWorker(text);
    if (own !== newest.current) return;
    setReading(false);
    setEarly(first.ok ? first.value.picture : null);
    desk.reset({
      ...startDesk(
        fileName.replace(/\.[^.]*$/, '').replace(/[-_]+/g, ' ') || 'Drawing',
        first.ok ? first.value.steps : [],
      ),
      size: state.size,
    });
    setDrawing({ text, fileName, blob });
  };
  const take = async (blob: Blob, fileName: string) => {
    setRefusal(null);
    if (blob.size > FILE_LIMIT_BYTES)
      return setRefusal(
        describeArtworkProblem({ kind: 'file-too-large', bytes: blob.size, limitBytes: FILE_LIMIT_BYTES }),
      );
    if (/^image\/(png|jpeg|webp)$/.test(blob.type)) {
      setPictureName(fileName);
      setPictureNumber(pictureNumber + 1);
      return setPicture(blob);
    }
    setPicture(null);
    await takeDrawing(decodeText(new Uint8Array(await blob.arrayBuffer())), fileName, blob);
  };
  // Another tracing of the same picture keeps the name, steps and size that were set meanwhile.
  const traced = (svg: string, first: boolean) => {
    const fileName = `${pictureName.replace(/\.[^.]*$/, '') || 'picture'}.svg`;
    const blob = new Blob([svg], { type: 'image/svg+xml' });
    if (first) void takeDrawing(svg, fileName, blob);
    else setDrawing({ text: svg, fileName, blob });
  };
  const tracingState = useTraced(picture, pictureNumber, tracing, traced);
  useEffect(wakeWorker, []);
  const latestTake = useRef(take);
  latestTake.current = take;
  useEffect(() => {
    const paste = (event: ClipboardEvent) => {
      if (event.target instanceof HTMLInputElement) return;
      const [file] = event.clipboardData?.files ?? [];
      const text = event.clipboardData?.getData('text/plain') ?? '';
      if (file) void latestTake.current(file, file.name);
      else if (text.includes('<')) void latestTake.current(new Blob([text], { type: 'image/svg+xml' }), 'pasted.svg');
      else if (text) setRefusal(describeArtworkProblem({ kind: 'not-svg', found: text.trim().slice(0, 24) }));
    };
    window.addEventListener('paste', paste);
    return () => window.removeEventListener('paste', paste);
  }, []);
  const save = async () => {
    if (!drawing || !steps || !prepared) return;
    setSaving(true);
    try {
      const layers = prepared.measurement.layers.map((layer) => layer.key);
      const facts = JSON.stringify({
        name: state.name,
        fileName: drawing.fileName,
        licence: state.licence,
        steps,
        layerNames: layers.map(nameOf),
        layerVinylIds: layers.map((key) => state.vinylIds[key] ?? null),
      });
      const { id } = await callApi<{ id: number }>(
        'POST',
        `/api/artwork?${new URLSearchParams({ facts }).toString()}`,
        drawing.blob,
      );
      location.assign(`/artwork/${id}`);
    } catch (error) {
      setRefusal(wordsOf(error));
      setSaving(false);
    }
  };
  const waiting = early !== null && !current;
  const shown = refusal ?? tracingState.problem ?? (drawing ? problem : null);
  return (
    <>
      <NewArtworkHead
        prepared={prepared}
        drawing={drawing}
        state={state}
        chooser={chooser}
        saving={saving}
        asking={asking}
        problem={problem}
        steps={steps}
        save={save}
      />
      <input
        ref={chooser}
        type="file"
        accept=".svg,.dxf,image/svg+xml,image/png,image/jpeg"
        className="visually-hidden"
        tabIndex={-1}
        aria-label="Drawing file"
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) void take(file, file.name);
          event.target.value = '';
        }}
      />
      <DropZone over={over} drawing={drawing} setOver={setOver} take={take} />
      <Working doing="Tracing" asking={tracingState.asking} />
      <Working
        doing="Reading the drawing"
        asking={{ busy: reading, stopped: false, stop: stopReading, again: stopReading }}
      />
      <Working doing="Measuring" asking={asking} />
      {waiting && (
        <div className="sheet flush lifted pad-5">
          <Picture picture={early} label="The drawing, not measured yet" maxHeight={420} />
        </div>
      )}
      {picture && <TracePanel options={tracing} onChange={setTracing} />}
      {shown && (
        <Failure>
          <strong>{refusal && !problem ? 'Not taken' : 'Not measured'}</strong>
          {shown}
        </Failure>
      )}
      {prepared && drawing && !waiting && (
        <ArtworkDesk desk={desk} file={prepared} checked text={drawing.text} vinyls={vinyls} nameOf={nameOf} />
      )}
    </>
  );
}

export const describeLayers = (layers: readonly { cavities: number; pieces: number }[]): string => {
  const cavities = layers.reduce((sum, layer) => sum + layer.cavities, 0);
  return `${plural(layers.length, 'layer')}, ${plural(
    layers.reduce((sum, layer) => sum + layer.pieces, 0),
    'piece',
  )}, ${plural(cavities, 'cavity')} to weed`;
};

type DropZoneProps = {
  readonly over: boolean;
  readonly drawing: Drawing | null;
  readonly setOver: React.Dispatch<React.SetStateAction<boolean>>;
  readonly take: (blob: Blob, fileName: string) => Promise<void>;
};

function DropZone({ over, drawing, setOver, take }: DropZoneProps) {
  return (
    <div
      className={`drop ${over ? 'over' : ''} ${drawing ? 'slim' : ''}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        const [file] = event.dataTransfer.files;
        if (file) void take(file, file.name);
      }}
    >
      {drawing ? (
        <span className="soft">Drop another drawing here, or paste one</span>
      ) : (
        <>
          <p className="flat below-2 text-large">Drop an SVG or DXF drawing here, or paste one</p>
          <span className="soft">
            Up to 20 MB. Each fill colour becomes a layer; a PNG or JPEG is traced. Nothing in the file is run, and
            nothing is fetched.
          </span>
        </>
      )}
    </div>
  );
}

type NewArtworkHeadProps = {
  readonly prepared: PreparedFile | null;
  readonly drawing: Drawing | null;
  readonly state: DeskState;
  readonly chooser: React.RefObject<HTMLInputElement | null>;
  readonly saving: boolean;
  readonly asking: Asking;
  readonly problem: string | null;
  readonly steps: readonly PrepStep[] | null;
  readonly save: () => Promise<void>;
};

function NewArtworkHead({
  prepared,
  drawing,
  state,
  chooser,
  saving,
  asking,
  problem,
  steps,
  save,
}: NewArtworkHeadProps) {
  return (
    <div className="page-head">
      <div>
        <h1 className="flat">
          {prepared && drawing
            ? `${state.name || 'Drawing'}: ${describeLayers(prepared.measurement.layers)}`
            : 'Measure a drawing'}
        </h1>
      </div>
      <div className="actions">
        <Button href="/artwork/letter">Set lettering</Button>
        <Button onClick={() => chooser.current?.click()}>{drawing ? 'Choose another file' : 'Choose a file'}</Button>
        {prepared && drawing && (
          <Button
            variant="contained"
            disabled={saving || asking.busy || asking.stopped || Boolean(problem) || !steps || state.name.trim() === ''}
            onClick={() => void save()}
          >
            Save this artwork
          </Button>
        )}
      </div>
    </div>
  );
}
