// A drawing comes in: dropped, chosen or pasted; measured at once; saved when wanted.

import Button from '@mui/material/Button';
import { useMemo, useRef, useState } from 'react';
import type { PreparedFile } from '../../views/artwork';
import type { VinylView } from '../../views/shelf';
import { wordsOf } from '../shared/api';
import { DraftNotice } from '../shared/DraftNotice';
import { Failure } from '../shared/Failure';
import { useDraft } from '../shared/use-draft';
import { WithVinyls } from '../shared/MakeInPlace';
import { Picture } from '../shared/Picture';
import { useSendOnce } from '../shared/use-send-once';
import { useSettings } from '../shared/settings';
import { Working } from '../shared/Working';
import { ArtworkDesk } from './ArtworkDesk';
import { describeLayers, isSavable, toFacts } from './desk-facts';
import { startDesk, toSteps, useDesk, type Desk, type DeskState } from './desk-state';
import { makeNameOf, toMaterials } from './layer-names';
import { TracePanel } from './TracePanel';
import { useDrawing, type Drawing } from './use-drawing';
import { usePrepared } from './use-prepared';

type NewArtworkProps = {
  readonly vinyls: readonly VinylView[];
  /** Whether the shelf has others. */
  readonly more: boolean;
};

export default function NewArtworkContent({ vinyls, more }: NewArtworkProps) {
  return (
    <WithVinyls initial={vinyls} more={more}>
      {(known) => <NewArtwork vinyls={known} />}
    </WithVinyls>
  );
}

function NewArtwork({ vinyls }: { readonly vinyls: readonly VinylView[] }) {
  const settings = useSettings();
  const desk = useDesk(startDesk('', []));
  const { state } = desk;
  const intake = useDrawing(desk);
  const { drawing, early, refusal, tracing } = intake;
  const draft = useDrawingDraft(intake, desk);
  const steps = toSteps(state);
  const materials = useMemo(
    () => toMaterials(state.vinylIds, vinyls, settings.shop.figures),
    [state.vinylIds, vinyls, settings.shop.figures],
  );
  const { prepared, current, problem, asking } = usePrepared(drawing?.text ?? null, steps, materials);
  const { saving, save } = useSaveDrawing(drawing, state, prepared, {
    onRefused: intake.setRefusal,
    onSaved: draft.clear,
  });
  const waiting = early !== null && !current;
  const shown = refusal ?? tracing.problem ?? (drawing ? problem : null);
  return (
    <>
      <NewArtworkHead
        title={
          prepared && drawing
            ? `${state.name || 'Drawing'}: ${describeLayers(prepared.measurement.layers)}`
            : 'Measure a drawing'
        }
        again={drawing !== null}
        onFile={(file) => void intake.take(file, file.name)}
        onSave={prepared && drawing ? () => void save() : null}
        savable={!saving && !problem && isSavable(state, steps, asking)}
      />
      <DraftNotice draft={draft} />
      <DropZone slim={drawing !== null} onFile={(file) => void intake.take(file, file.name)} />
      <Working doing="Tracing" asking={tracing.asking} />
      <Working
        doing="Reading the drawing"
        asking={{ busy: intake.reading, stopped: false, stop: intake.stop, again: intake.stop }}
      />
      <Working doing="Measuring" asking={asking} />
      {waiting && (
        <div className="sheet flush lifted pad-5">
          <Picture picture={early} label="The drawing, not measured yet" maxHeight={420} />
        </div>
      )}
      {tracing.isOn && <TracePanel options={tracing.options} onChange={tracing.setOptions} />}
      {shown && (
        <Failure>
          <strong>{refusal && !problem ? 'Not taken' : 'Not measured'}</strong>
          {shown}
        </Failure>
      )}
      {prepared && drawing && !waiting && (
        <ArtworkDesk
          desk={desk}
          file={prepared}
          checked
          fetchText={() => Promise.resolve(drawing.text)}
          vinyls={vinyls}
          nameOf={makeNameOf(state.names)}
        />
      )}
    </>
  );
}

/** The drawing itself and what was set on its desk. */
function useDrawingDraft(intake: ReturnType<typeof useDrawing>, desk: Desk) {
  const { drawing } = intake;
  const value: DrawingDraft = {
    file: drawing && { text: drawing.text, fileName: drawing.fileName },
    desk: desk.state,
  };
  return useDraft({
    key: 'artwork new',
    value,
    isChanged: drawing !== null,
    restore: ({ file, desk: state }) => {
      intake.setDrawing(file && { ...file, blob: new Blob([file.text], { type: 'image/svg+xml' }) });
      desk.reset(state);
    },
    restart: () => {
      intake.setDrawing(null);
      desk.reset(startDesk('', []));
    },
  });
}

type DrawingDraft = {
  readonly file: { readonly text: string; readonly fileName: string } | null;
  readonly desk: DeskState;
};

/** Saves the drawing with what was set on the desk, and goes to its page. */
function useSaveDrawing(
  drawing: Drawing | null,
  state: DeskState,
  prepared: PreparedFile | null,
  { onRefused, onSaved }: { readonly onRefused: (words: string) => void; readonly onSaved: () => void },
) {
  const [saving, setSaving] = useState(false);
  const sendOnce = useSendOnce();
  const save = async () => {
    const steps = toSteps(state);
    if (!drawing || !steps || !prepared) return;
    setSaving(true);
    try {
      const facts = { ...toFacts(state, steps, prepared.measurement.layers), fileName: drawing.fileName };
      const query = new URLSearchParams({ facts: JSON.stringify(facts) }).toString();
      const { id } = await sendOnce<{ id: number }>('POST', `/api/artwork?${query}`, drawing.blob);
      onSaved();
      location.assign(`/artwork/${id}`);
    } catch (error) {
      onRefused(wordsOf(error));
      setSaving(false);
    }
  };
  return { saving, save };
}

type DropZoneProps = {
  /** A drawing is there already. */
  readonly slim: boolean;
  readonly onFile: (file: File) => void;
};

function DropZone({ slim, onFile }: DropZoneProps) {
  const [over, setOver] = useState(false);
  return (
    <div
      className={`drop ${over ? 'over' : ''} ${slim ? 'slim' : ''}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        const [file] = event.dataTransfer.files;
        if (file) onFile(file);
      }}
    >
      {slim ? (
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

type HeadProps = {
  readonly title: string;
  /** A drawing is there already. */
  readonly again: boolean;
  readonly onFile: (file: File) => void;
  /** Null while there is nothing to save. */
  readonly onSave: (() => void) | null;
  readonly savable: boolean;
};

function NewArtworkHead({ title, again, onFile, onSave, savable }: HeadProps) {
  const chooser = useRef<HTMLInputElement>(null);
  return (
    <div className="page-head">
      <div>
        <h1 className="flat">{title}</h1>
      </div>
      <div className="actions">
        <Button href="/artwork/letter">Set lettering</Button>
        <Button onClick={() => chooser.current?.click()}>{again ? 'Choose another file' : 'Choose a file'}</Button>
        {onSave && (
          <Button variant="contained" disabled={!savable} onClick={onSave}>
            Save this artwork
          </Button>
        )}
      </div>
      <input
        ref={chooser}
        type="file"
        accept=".svg,.dxf,image/svg+xml,image/png,image/jpeg"
        className="visually-hidden"
        tabIndex={-1}
        aria-label="Drawing file"
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) onFile(file);
          event.target.value = '';
        }}
      />
    </div>
  );
}
