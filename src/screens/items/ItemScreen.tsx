// One item: a blank, a placement of a drawing, a vinyl for each layer; what it costs, and what to ask. Calculated as
// you type.

import { yupResolver } from '@hookform/resolvers/yup';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { enqueueSnackbar } from 'notistack';
import { lazy, Suspense, useMemo, useState } from 'react';
import { useForm, useWatch, type Resolver } from 'react-hook-form';
import { explainChange, getUsualVariant, listMadeLayers, resolveVariant } from '../../core/costing';
import { itemInput } from '../../core/input';
import { decideHandedness } from '../../core/materials';
import { formatLength, formatMoney } from '../../core/units';
import type { FrameView } from '../../views/frame';
import type { ItemEditorView } from '../../views/items';
import { describeLicenceCaution } from '../../wording/findings';
import { describeHandedness } from '../../wording/stations';
import { callApi, wordsOf } from '../shared/api';
import { useSave } from '../shared/form';
import { Frame } from '../shared/Frame';
import { SeamView } from '../shared/SeamView';
import { useSettings } from '../shared/settings';
import { useMounted } from '../shared/use-mounted';
import { AreaTable } from './AreaTable';
import { ChangeNotice } from './ChangeNotice';
import { ChannelPanel } from './ChannelPanel';
import { CostTable } from './CostTable';
import { startValues, toMaterials, toPlan, type ItemForm } from './item-form';
import { ItemFields } from './ItemFields';
import { JointPanel } from './JointPanel';
import { MoreFields } from './MoreFields';
import { PricePanel } from './PricePanel';
import { calculateItem } from './calculate-item';
import { VariantTable } from './VariantTable';

// Charts weigh more than all the rest of the page.
const LadderPanel = lazy(() => import('./LadderPanel'));

export function ItemScreen({ frame, view }: { frame: FrameView; view: ItemEditorView }) {
  const missing =
    view.artworks.length === 0
      ? 'a drawing'
      : view.shelf.blanks.length === 0
        ? 'a blank'
        : view.shelf.vinyls.length === 0
          ? 'a vinyl'
          : null;
  return (
    <Frame frame={frame} current="items" newHref="/items/new">
      {missing ? <Missing what={missing} /> : <Item view={view} />}
    </Frame>
  );
}

function Missing({ what }: { what: string }) {
  const href = what === 'a drawing' ? '/artwork/new' : '/shelf';
  return (
    <div className="sheet empty">
      <p>To price an item, {what} is needed first.</p>
      <Button variant="contained" href={href}>
        {what === 'a drawing' ? 'Measure a drawing' : `Add ${what} to the shelf`}
      </Button>
    </div>
  );
}

function Item({ view }: { view: ItemEditorView }) {
  const settings = useSettings();
  const mounted = useMounted();
  const [version, setVersion] = useState(view.item?.version ?? null);
  const [archived, setArchived] = useState(view.item?.archived ?? false);
  const form = useForm<ItemForm>({
    resolver: yupResolver(itemInput) as unknown as Resolver<ItemForm>,
    defaultValues: startValues(view),
  });
  const values = useWatch({ control: form.control }) as ItemForm;
  const [shown, setShown] = useState(0);
  const [chosen, setChosen] = useState<readonly number[]>([]);
  const blank = view.shelf.blanks.find((candidate) => candidate.id === Number(values.blankId));
  const plan = useMemo(() => toPlan(values), [values]);
  const materials = useMemo(() => toMaterials(view), [view]);
  const variant = useMemo(
    () => ({ ...getUsualVariant(plan), options: chosen.filter((at) => plan.details.options[at]) }),
    [plan, chosen],
  );
  const input = useMemo(
    () => ({
      plan,
      variant,
      quantity: Number(values.quantity),
      blank,
      materials,
      evidence: view.evidence,
      figures: settings.shop.figures,
      settings,
    }),
    [plan, variant, values.quantity, blank, materials, view.evidence, settings],
  );
  const calculation = useMemo(() => calculateItem(input), [input]);
  const layers = useMemo(() => listMadeLayers(resolveVariant(plan, variant), materials), [plan, variant, materials]);
  const placement = plan.placements[Math.min(shown, plan.placements.length - 1)];
  const artwork = view.artworks.find((candidate) => candidate.id === placement?.artworkId);
  const vinyls = placement?.vinylIds.map((id) => view.shelf.vinyls.find((vinyl) => vinyl.id === id)) ?? [];
  const change = useMemo(
    () =>
      calculation.ok && view.item?.acceptedCost && !form.formState.isDirty && chosen.length === 0
        ? explainChange(view.item.acceptedCost, calculation.cost)
        : null,
    [calculation, view.item, form.formState.isDirty, chosen],
  );
  const isNew = view.item === null && version === null;
  const id = view.item?.id ?? null;
  const save = useSave<ItemForm, { id: number; version: number }>({
    form,
    method: isNew ? 'POST' : 'PUT',
    path: isNew ? '/api/items' : `/api/items/${id}`,
    version: version ?? undefined,
    onSaved: (answer) => {
      if (isNew) return location.assign(`/items/${answer.id}`);
      form.reset(form.getValues());
      setVersion(answer.version);
      return void enqueueSnackbar('Saved.');
    },
  });
  const archive = async (on: boolean) => {
    try {
      await callApi(on ? 'DELETE' : 'POST', `/api/items/${id}`);
      setArchived(on);
      enqueueSnackbar(on ? 'Archived.' : 'Restored.', {
        action: on ? (
          <Button color="inherit" variant="text" onClick={() => void archive(false)}>
            Undo
          </Button>
        ) : undefined,
      });
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
    }
  };
  const handedness = vinyls[0] ? decideHandedness(vinyls[0], { seenThrough: placement?.seenThrough ?? false }) : null;
  const licenceCaution = artwork ? describeLicenceCaution(artwork.licence) : null;
  const ground = blank?.colours.find((colour) => colour.name === values.colourName)?.hex;
  return (
    <form noValidate onSubmit={save.submit}>
      <div className="page-head below-4">
        <div>
          <h1 className="flat">
            {values.name || 'New item'} {archived && <span className="tag">archived</span>}
          </h1>
          <p aria-live="polite" className="flat above-1 text-large">
            {calculation.ok ? calculation.verdict : <span className="short">{calculation.problem}</span>}
          </p>
        </div>
        <div className="actions">
          {id !== null && <Button onClick={() => void archive(!archived)}>{archived ? 'Restore' : 'Archive'}</Button>}
          {id !== null && <Button href={`/items/compare/${id}`}>Compare vinyls</Button>}
          {id !== null && <Button href={`/orders/new?item=${id}`}>Take an order for it</Button>}
          <Button type="submit" variant="contained" disabled={save.pending || (!isNew && !form.formState.isDirty)}>
            {isNew ? 'Save this item' : 'Save'}
          </Button>
        </div>
      </div>
      {save.failure && (
        <div className="notice bad below-4" role="alert">
          {save.failure}
        </div>
      )}
      {change && view.item?.acceptedCost && version === view.item.version && (
        <ChangeNotice itemId={view.item.id} change={change} sinceMs={view.item.acceptedCost.atMs} />
      )}
      {licenceCaution && (
        <div className="notice below-4">
          <strong>{artwork?.name}</strong>
          {licenceCaution} <a href={`/artwork/${artwork?.id}`}>Say whose it is</a>
        </div>
      )}
      <div className="cols fields-result">
        <div className="cols">
          <section className="sheet flush lifted">
            {plan.placements.length > 1 && (
              <ToggleButtonGroup
                size="small"
                exclusive
                value={Math.min(shown, plan.placements.length - 1)}
                onChange={(_, at: number | null) => at !== null && setShown(at)}
                aria-label="Artwork shown"
                sx={{ p: 1 }}
              >
                {plan.placements.map((one, at) => (
                  <ToggleButton key={at} value={at} sx={{ py: 0.3, textTransform: 'none' }}>
                    {one.place || `artwork ${at + 1}`}
                  </ToggleButton>
                ))}
              </ToggleButtonGroup>
            )}
            {artwork && handedness && (
              <SeamView
                picture={artwork.picture}
                colours={vinyls.map((vinyl) => vinyl?.colourHex)}
                mirrored={handedness.mirrored}
                cutCaption={describeHandedness(handedness)}
                name={artwork.name}
                size={`${formatLength(placement?.widthMm || 0, settings)} × ${formatLength(((placement?.widthMm || 0) * artwork.measurement.heightMm) / artwork.measurement.widthMm, settings)}`}
                height={150}
                {...(ground ? { ground } : {})}
              />
            )}
          </section>
          <ItemFields form={form} view={view} blank={blank} shown={shown} onShow={setShown} />
          <MoreFields form={form} view={view} blank={blank} evidence={view.evidence} />
        </div>
        <div className="cols">
          {plan.details.options.length > 0 && (
            <div className="readings" role="group" aria-label="Calculated with">
              {plan.details.options.map((option, at) => (
                <FormControlLabel
                  key={at}
                  control={
                    <Checkbox
                      size="small"
                      checked={chosen.includes(at)}
                      onChange={(_, on) => setChosen(on ? [...chosen, at] : chosen.filter((one) => one !== at))}
                    />
                  }
                  label={`with ${option.label || 'option'}`}
                />
              ))}
            </div>
          )}
          {calculation.ok ? (
            <>
              <PricePanel
                cost={calculation.cost}
                reading={calculation.reading}
                price={calculation.price}
                othersAsk={plan.details.othersAsk}
                figures={settings.shop.figures}
                onPrice={(price) =>
                  form.setValue('price', Math.max(0, price - (calculation.price - plan.price)), {
                    shouldDirty: true,
                    shouldValidate: true,
                  })
                }
                form={form}
              />
              <CostTable cost={calculation.cost} reading={calculation.reading} />
              <ChannelPanel
                initial={view.channels}
                cost={calculation.cost}
                price={calculation.price}
                figures={settings.shop.figures}
              />
              {blank && (
                <VariantTable input={input} plan={plan} blank={blank} wage={settings.shop.figures.wagePerHour} />
              )}
              {mounted && (
                <Suspense>
                  <LadderPanel
                    spec={calculation.spec}
                    quantity={calculation.cost.quantity}
                    price={calculation.price}
                    figures={settings.shop.figures}
                  />
                </Suspense>
              )}
              <AreaTable form={form} cost={calculation.cost} layers={layers} basis={values.areaBasis} />
              <JointPanel
                form={form}
                cost={calculation.cost}
                itemName={values.name}
                price={calculation.price}
                negative={plan.details.negative}
                layers={layers}
              />
            </>
          ) : (
            <div className="notice bad">
              <strong>No cost can be told yet</strong>
              {calculation.problem}
            </div>
          )}
          <p className="soft flat">
            Your hour is {formatMoney(settings.shop.figures.wagePerHour, settings)}.{' '}
            <a href="/shop">Change the shop’s figures</a>
          </p>
        </div>
      </div>
    </form>
  );
}
