// One item: a blank, a placement of a drawing, a vinyl for each layer; what it costs, and what to ask. Reckoned as you type.

import { yupResolver } from '@hookform/resolvers/yup';
import Button from '@mui/material/Button';
import { enqueueSnackbar } from 'notistack';
import { lazy, Suspense, useMemo, useState } from 'react';
import { useForm, useWatch, type Resolver } from 'react-hook-form';
import { getWornLayers } from '../../core/artwork';
import { itemInput } from '../../core/input';
import { decideHandedness } from '../../core/materials';
import { formatLength, formatMoney } from '../../core/units';
import type { FrameView, ItemEditorView, ItemView } from '../../views/views';
import { describeLicenceCaution } from '../../wording/findings';
import { describeHandedness } from '../../wording/stations';
import { callApi, wordsOf } from '../shared/api';
import { useSave } from '../shared/form';
import { Frame } from '../shared/Frame';
import { SeamView } from '../shared/SeamView';
import { useSettings } from '../shared/settings';
import { useMounted } from '../shared/use-mounted';
import { AreaTable } from './AreaTable';
import { ChannelPanel } from './ChannelPanel';
import { CostTable } from './CostTable';
import { ItemFields, type ItemForm } from './ItemFields';
import { PricePanel } from './PricePanel';
import { reckonItem } from './reckon-item';

// Charts weigh more than all the rest of the page.
const LadderPanel = lazy(() => import('./LadderPanel'));

export function ItemScreen({ frame, view }: { frame: FrameView; view: ItemEditorView }) {
  const missing = view.artworks.length === 0 ? 'a drawing' : view.shelf.blanks.length === 0 ? 'a blank' : view.shelf.vinyls.length === 0 ? 'a vinyl' : null;
  return <Frame frame={frame} current="items" newHref="/items/new">{missing ? <Missing what={missing} /> : <Item view={view} />}</Frame>;
}

function Missing({ what }: { what: string }) {
  const href = what === 'a drawing' ? '/artwork/new' : '/shelf';
  return <div className="sheet empty"><p>To reckon an item, {what} is needed first.</p><Button variant="contained" href={href}>{what === 'a drawing' ? 'Measure a drawing' : `Add ${what} to the shelf`}</Button></div>;
}

function startValues(view: ItemEditorView): ItemForm {
  const { item, artworks, shelf } = view;
  if (item) {
    const { id: _id, version: _version, archived: _archived, vinylIds, ...fields } = item;
    return { ...fields, vinylIds: [...vinylIds] };
  }
  const artwork = artworks.find((candidate) => candidate.id === view.startArtworkId) ?? artworks[0]!;
  const blank = shelf.blanks[0]!;
  return {
    name: artwork.name, blankId: blank.id, sizeName: blank.sizes[0]?.name ?? '', colourName: blank.colours[0]?.name ?? '', artworkId: artwork.id, placement: 'front, centred', widthMm: Math.round(artwork.measurement.widthMm * 10) / 10,
    seenThrough: false, areaBasis: 'used', quantity: 1, price: 0, artworkPrice: 0, artworkRun: 1, vinylIds: getWornLayers(artwork.measurement).map((_, index) => artwork.layerVinylIds[index] ?? shelf.vinyls[0]!.id),
  };
}

function Item({ view }: { view: ItemEditorView }) {
  const settings = useSettings();
  const mounted = useMounted();
  const [version, setVersion] = useState(view.item?.version ?? null);
  const [archived, setArchived] = useState(view.item?.archived ?? false);
  const form = useForm<ItemForm>({ resolver: yupResolver(itemInput) as unknown as Resolver<ItemForm>, defaultValues: startValues(view) });
  const values = useWatch({ control: form.control }) as ItemForm;
  const artwork = view.artworks.find((candidate) => candidate.id === Number(values.artworkId));
  const vinyls = (artwork ? getWornLayers(artwork.measurement) : []).map((_, index) => view.shelf.vinyls.find((vinyl) => vinyl.id === Number(values.vinylIds[index])));
  const blank = view.shelf.blanks.find((candidate) => candidate.id === Number(values.blankId));
  const reckoning = useMemo(() => reckonItem({ values, artwork, blank, vinyls, figures: settings.shop.figures, settings }), [values, artwork, blank, vinyls, settings]);
  const isNew = view.item === null && version === null;
  const id = view.item?.id ?? null;
  const save = useSave<ItemForm, { id: number }>({
    form, method: isNew ? 'POST' : 'PUT', path: isNew ? '/api/items' : `/api/items/${id}`, version: version ?? undefined,
    onSaved: (answer) => {
      if (isNew) return location.assign(`/items/${answer.id}`);
      form.reset(form.getValues());
      void callApi<ItemView>('GET', `/api/items/${id}`).then((fresh) => setVersion(fresh.version));
      return void enqueueSnackbar('Saved.');
    },
  });
  const archive = async (on: boolean) => {
    try {
      await callApi(on ? 'DELETE' : 'POST', `/api/items/${id}`);
      setArchived(on);
      enqueueSnackbar(on ? 'Taken off the list.' : 'Back on the list.', { action: on ? <Button color="inherit" variant="text" onClick={() => void archive(false)}>Undo</Button> : undefined });
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
    }
  };
  const handedness = vinyls[0] ? decideHandedness(vinyls[0], { seenThrough: values.seenThrough }) : null;
  const licenceCaution = artwork ? describeLicenceCaution(artwork.licence) : null;
  const ground = blank?.colours.find((colour) => colour.name === values.colourName)?.hex;
  return (
    <form noValidate onSubmit={save.submit}>
      <div className="page-head" style={{ marginBottom: 12 }}>
        <div>
          <h1 style={{ margin: 0 }}>{values.name || 'New item'} {archived && <span className="tag">off the list</span>}</h1>
          <p style={{ margin: '4px 0 0', fontSize: '1.14rem' }} aria-live="polite">{reckoning.ok ? reckoning.verdict : <span className="short">{reckoning.problem}</span>}</p>
        </div>
        <div className="actions">
          {id !== null && <Button onClick={() => void archive(!archived)}>{archived ? 'Put back' : 'Take off the list'}</Button>}
          {id !== null && <Button href={`/items/compare/${id}`}>Compare vinyls</Button>}
          {id !== null && <Button href={`/orders/new?item=${id}`}>Take an order for it</Button>}
          <Button type="submit" variant="contained" disabled={save.pending || (!isNew && !form.formState.isDirty)}>{isNew ? 'Keep this item' : 'Save'}</Button>
        </div>
      </div>
      {save.failure && <div className="notice bad" role="alert" style={{ marginBottom: 12 }}>{save.failure}</div>}
      {licenceCaution && <div className="notice" style={{ marginBottom: 12 }}><strong>{artwork?.name}</strong>{licenceCaution} <a href={`/artwork/${artwork?.id}`}>Say whose it is</a></div>}
      <div className="cols" style={{ gridTemplateColumns: 'minmax(300px, .82fr) minmax(0, 1.7fr)' }}>
        <div className="cols">
          <section className="sheet flush lifted">
            {artwork && handedness && <SeamView picture={artwork.picture} colours={vinyls.map((vinyl) => vinyl?.colourHex)} mirrored={handedness.mirrored} cutCaption={describeHandedness(handedness)} name={artwork.name} size={`${formatLength(Number(values.widthMm) || 0, settings)} × ${formatLength(((Number(values.widthMm) || 0) * artwork.measurement.heightMm) / artwork.measurement.widthMm, settings)}`} height={150} {...(ground ? { ground } : {})} />}
          </section>
          <ItemFields form={form} view={view} artwork={artwork} blank={blank} />
        </div>
        <div className="cols">
          {reckoning.ok ? (
            <>
              <PricePanel cost={reckoning.cost} reading={reckoning.reading} price={Number(values.price) || 0} figures={settings.shop.figures} onPrice={(price) => form.setValue('price', price, { shouldDirty: true, shouldValidate: true })} form={form} />
              <CostTable cost={reckoning.cost} reading={reckoning.reading} />
              <ChannelPanel initial={view.channels} cost={reckoning.cost} price={Number(values.price) || 0} figures={settings.shop.figures} />
              {mounted && <Suspense><LadderPanel spec={reckoning.spec} quantity={reckoning.cost.quantity} price={Number(values.price) || 0} figures={settings.shop.figures} /></Suspense>}
              <AreaTable form={form} cost={reckoning.cost} layerNames={artwork?.layerNames ?? []} vinyls={vinyls} basis={values.areaBasis} />
            </>
          ) : <div className="notice bad"><strong>No cost can be told yet</strong>{reckoning.problem}</div>}
          <p className="soft" style={{ margin: 0 }}>Your hour is {formatMoney(settings.shop.figures.wagePerHour, settings)}. <a href="/shop">Change the shop’s figures</a></p>
        </div>
      </div>
    </form>
  );
}
