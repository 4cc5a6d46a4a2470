// One kept drawing: measured anew at any width, its layers named, and on to an item.

import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { enqueueSnackbar } from 'notistack';
import { useState } from 'react';
import type { ArtworkView, FrameView, VinylView } from '../../views/views';
import { callApi, wordsOf } from '../shared/api';
import { Frame } from '../shared/Frame';
import { MeasuredArtwork } from './MeasuredArtwork';
import { describeLayers } from './NewArtworkScreen';
import { useMeasured } from './use-measured';
import { WidthField } from './WidthField';

export function ArtworkScreen({ frame, artwork, vinyls }: { frame: FrameView; artwork: ArtworkView; vinyls: readonly VinylView[] }) {
  return <Frame frame={frame} current="artwork" newHref="/artwork/new"><Artwork artwork={artwork} vinyls={vinyls} /></Frame>;
}

function Artwork({ artwork, vinyls }: { artwork: ArtworkView; vinyls: readonly VinylView[] }) {
  const [kept, setKept] = useState(artwork);
  const [name, setName] = useState(artwork.name);
  const [widthMm, setWidthMm] = useState<number | null>(artwork.measurement.widthMm);
  const [layerNames, setLayerNames] = useState(artwork.layerNames);
  const [failure, setFailure] = useState<string | null>(null);
  const [archived, setArchived] = useState(artwork.archived);
  const path = `/api/artwork/${artwork.id}`;
  const widthChanged = widthMm !== kept.measurement.widthMm;
  // The original is fetched only once a new width asks for it; until then what was kept is shown.
  const original = useQuery({ queryKey: ['original', artwork.id], queryFn: async () => (await fetch(`${path}/original`)).text(), enabled: widthChanged, staleTime: Infinity });
  const { measured, problem, busy } = useMeasured(widthChanged ? (original.data ?? null) : null, widthMm, artwork);
  const shown = widthChanged ? (measured ?? kept) : kept;
  const changed = widthChanged || name !== kept.name || layerNames.some((layer, index) => layer !== kept.layerNames[index]);
  const save = async () => {
    setFailure(null);
    try {
      await callApi('PUT', path, { name, widthMm, layerNames, version: kept.version });
      setKept(await callApi<ArtworkView>('GET', path));
      enqueueSnackbar('Saved.');
    } catch (error) {
      setFailure(wordsOf(error));
    }
  };
  const archive = async (on: boolean) => {
    await callApi(on ? 'DELETE' : 'POST', path);
    setArchived(on);
    enqueueSnackbar(on ? 'Taken off the list. Items that use it keep it.' : 'Back on the list.', { action: on ? <Button color="inherit" variant="text" onClick={() => void archive(false)}>Undo</Button> : undefined });
  };
  return (
    <>
      <div className="page-head">
        <div><h1 style={{ margin: 0 }}>{kept.name} {archived && <span className="tag">off the list</span>}</h1><p style={{ margin: '4px 0 0', fontSize: '1.12rem' }}>{describeLayers(shown.measurement.layers)}.</p></div>
        <div className="actions">
          <Button href={`${path}/original`}>Download the original</Button>
          <Button onClick={() => void archive(!archived)}>{archived ? 'Put back' : 'Take off the list'}</Button>
          {changed && <Button variant="contained" disabled={busy || Boolean(problem) || widthMm === null} onClick={() => void save()}>Save</Button>}
          {!changed && <Button variant="contained" href={`/items/new?artwork=${artwork.id}`}>Reckon an item with it</Button>}
        </div>
      </div>
      {(failure ?? (widthChanged ? problem : null)) && <div className="notice bad" role="alert">{failure ?? problem}</div>}
      <MeasuredArtwork measured={shown} name={name} layerNames={layerNames} onRename={(index, text) => setLayerNames(layerNames.map((layer, at) => (at === index ? text : layer)))} vinyls={vinyls}>
        <TextField label="Name" value={name} onChange={(event) => setName(event.target.value)} slotProps={{ htmlInput: { maxLength: 120 } }} />
        <WidthField widthMm={widthMm} onChange={setWidthMm} />
      </MeasuredArtwork>
    </>
  );
}
