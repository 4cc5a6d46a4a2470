// One item: a blank, a placement of a drawing, a vinyl for each layer; what it costs, and what to ask. Calculated as
// you type.

import { yupResolver } from '@hookform/resolvers/yup';
import Button from '@mui/material/Button';
import '@mui/material/Checkbox';
import '@mui/material/FormControlLabel';
import '@mui/material/ToggleButton';
import '@mui/material/ToggleButtonGroup';
import { enqueueSnackbar } from 'notistack';
import { useMemo, useState } from 'react';
import { useForm, useWatch, type Resolver } from 'react-hook-form';
import { explainChange, getUsualVariant, listMadeLayers, resolveVariant } from '../../core/costing';
import { itemInput } from '../../core/input';
import { decideHandedness } from '../../core/materials';
import type { FrameView } from '../../views/frame';
import type { ItemEditorView } from '../../views/items';
import { describeLicenceCaution } from '../../wording/findings';
import { callApi, wordsOf } from '../shared/api';
import { useSave } from '../shared/form';
import { Frame } from '../shared/Frame';
import { useSettings } from '../shared/settings';
import { useMounted } from '../shared/use-mounted';
import { ChangeNotice } from './ChangeNotice';
import { startValues, toMaterials, toPlan, type ItemForm } from './item-form';
import { calculateItem } from './calculate-item';
import { ItemSide } from './ItemSide';
import { ItemHead } from './ItemHead';
import { ItemResults } from './ItemResults';

// Charts weigh more than all the rest of the page.

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
      <ItemHead
        values={values}
        archived={archived}
        calculation={calculation}
        id={id}
        archive={archive}
        save={save}
        isNew={isNew}
        form={form}
      />
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
        <ItemSide
          plan={plan}
          shown={shown}
          setShown={setShown}
          artwork={artwork}
          handedness={handedness}
          vinyls={vinyls}
          placement={placement}
          ground={ground}
          form={form}
          view={view}
          blank={blank}
        />
        <ItemResults
          plan={plan}
          chosen={chosen}
          setChosen={setChosen}
          calculation={calculation}
          form={form}
          view={view}
          blank={blank}
          input={input}
          mounted={mounted}
          layers={layers}
          values={values}
        />
      </div>
    </form>
  );
}
