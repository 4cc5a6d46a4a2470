// A drawing comes in: dropped, chosen or pasted; measured at once; kept when wanted.

import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import TextField from '@mui/material/TextField';
import { useEffect, useRef, useState } from 'react';
import { FILE_LIMIT_BYTES } from '../../core/artwork';
import type { FrameView, VinylView } from '../../views/views';
import { describeArtworkProblem } from '../../wording/problems';
import { callApi, wordsOf } from '../shared/api';
import { Frame } from '../shared/Frame';
import { MeasuredArtwork } from './MeasuredArtwork';
import { useMeasured } from './use-measured';
import { WidthField } from './WidthField';

export function NewArtworkScreen({ frame, vinyls }: { frame: FrameView; vinyls: readonly VinylView[] }) {
  return <Frame frame={frame} current="artwork"><NewArtwork vinyls={vinyls} /></Frame>;
}

type Drawing = { readonly text: string; readonly fileName: string; readonly blob: Blob };
const START_WIDTH_MM = 200;

function NewArtwork({ vinyls }: { vinyls: readonly VinylView[] }) {
  const [drawing, setDrawing] = useState<Drawing | null>(null);
  const [name, setName] = useState('');
  const [widthMm, setWidthMm] = useState<number | null>(START_WIDTH_MM);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [over, setOver] = useState(false);
  const [saving, setSaving] = useState(false);
  const chooser = useRef<HTMLInputElement>(null);
  const { measured, problem, busy } = useMeasured(drawing?.text ?? null, widthMm, null);

  const take = async (blob: Blob, fileName: string) => {
    setRefusal(null);
    if (blob.size > FILE_LIMIT_BYTES) return setRefusal(describeArtworkProblem({ kind: 'file-too-large', bytes: blob.size, limitBytes: FILE_LIMIT_BYTES }));
    setDrawing({ text: await blob.text(), fileName, blob });
    setName(fileName.replace(/\.[^.]*$/, '').replace(/[-_]+/g, ' ') || 'Drawing');
  };
  useEffect(() => {
    const paste = (event: ClipboardEvent) => {
      if (event.target instanceof HTMLInputElement) return;
      const [file] = event.clipboardData?.files ?? [];
      const text = event.clipboardData?.getData('text/plain') ?? '';
      if (file) void take(file, file.name);
      else if (text.includes('<')) void take(new Blob([text], { type: 'image/svg+xml' }), 'pasted.svg');
      else if (text) setRefusal(describeArtworkProblem({ kind: 'not-svg', found: text.trim().slice(0, 24) }));
    };
    window.addEventListener('paste', paste);
    return () => window.removeEventListener('paste', paste);
  }, []);
  const keep = async () => {
    if (!drawing || widthMm === null) return;
    setSaving(true);
    try {
      const query = new URLSearchParams({ name, widthMm: String(widthMm), fileName: drawing.fileName });
      const { id } = await callApi<{ id: number }>('POST', `/api/artwork?${query.toString()}`, drawing.blob);
      location.assign(`/artwork/${id}`);
    } catch (error) {
      setRefusal(wordsOf(error));
      setSaving(false);
    }
  };
  const shown = refusal ?? (drawing ? problem : null);
  return (
    <>
      <div className="page-head">
        <div><h1 style={{ margin: 0 }}>{measured && drawing ? `${name || 'Drawing'}: ${describeLayers(measured.measurement.layers)}` : 'Measure a drawing'}</h1></div>
        <div className="actions">
          <Button onClick={() => chooser.current?.click()}>{drawing ? 'Choose another file' : 'Choose a file'}</Button>
          {measured && drawing && <Button variant="contained" disabled={saving || busy || Boolean(problem) || name.trim() === ''} onClick={() => void keep()}>Keep this artwork</Button>}
        </div>
      </div>
      <input ref={chooser} type="file" accept=".svg,image/svg+xml" className="visually-hidden" tabIndex={-1} aria-label="Drawing file" onChange={(event) => {
        const [file] = event.target.files ?? [];
        if (file) void take(file, file.name);
        event.target.value = '';
      }} />
      <div className={`drop ${over ? 'over' : ''}`} onDragOver={(event) => { event.preventDefault(); setOver(true); }} onDragLeave={() => setOver(false)} onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        const [file] = event.dataTransfer.files;
        if (file) void take(file, file.name);
      }}>
        {drawing ? <span className="soft">Drop another drawing here, or paste one</span> : <><p style={{ margin: '0 0 6px', fontSize: '1.15rem' }}>Drop an SVG drawing here, or paste one</p><span className="soft">Up to 20 MB. Each fill colour becomes a layer. Nothing in the file is run, and nothing is fetched.</span></>}
      </div>
      {busy && <LinearProgress aria-label="Measuring" />}
      {shown && <div className="notice bad" role="alert"><strong>{refusal && !problem ? 'Not taken' : 'Not measured'}</strong>{shown}</div>}
      {measured && drawing && (
        <MeasuredArtwork measured={measured} name={name} layerNames={null} vinyls={vinyls}>
          <TextField label="Name" value={name} onChange={(event) => setName(event.target.value)} error={name.trim() === ''} helperText={name.trim() === '' ? 'Write a name, so that you can find it again.' : undefined} slotProps={{ htmlInput: { maxLength: 120 } }} />
          <WidthField widthMm={widthMm} onChange={setWidthMm} />
        </MeasuredArtwork>
      )}
    </>
  );
}

export const describeLayers = (layers: readonly { cavities: number; pieces: number }[]): string => {
  const cavities = layers.reduce((sum, layer) => sum + layer.cavities, 0);
  return `${layers.length} ${layers.length === 1 ? 'layer' : 'layers'}, ${layers.reduce((sum, layer) => sum + layer.pieces, 0)} pieces, ${cavities} ${cavities === 1 ? 'cavity' : 'cavities'} to weed`;
};
