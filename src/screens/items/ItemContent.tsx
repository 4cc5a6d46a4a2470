// One item: a blank, a placement of a drawing, a vinyl for each layer; what it costs, and what to ask. Calculated as
// you type.

import Button from '@mui/material/Button';
import '@mui/material/Checkbox';
import '@mui/material/FormControlLabel';
import '@mui/material/ToggleButton';
import '@mui/material/ToggleButtonGroup';
import { useMemo, useState } from 'react';
import { useForm } from 'react-hook-form';
import type { ItemPlan } from '../../core/costing';
import type { ArtworkView } from '../../views/artwork';
import type { ItemEditorView } from '../../views/items';
import { describeLicenceCaution } from '../../wording/findings';
import { DraftNotice } from '../shared/DraftNotice';
import { Failure } from '../shared/Failure';
import { useSave } from '../shared/form';
import { InTheWay } from '../shared/InTheWay';
import { LookFor } from '../shared/LookFor';
import { MakeInPlace } from '../shared/MakeInPlace';
import { useSettings } from '../shared/settings';
import { useArchive } from '../shared/use-archive';
import { useDraft } from '../shared/use-draft';
import { ChangeNotice } from './ChangeNotice';
import type { ItemForm } from './item-form';
import { MaterialsContext, useItemMaterials, useMissingMaterials } from './item-materials';
import { ItemHead } from './ItemHead';
import { ItemResults } from './ItemResults';
import { ItemSide } from './ItemSide';
import { startItem, useItemCalculation } from './use-item-calculation';
import { lateRules } from '../shared/late-rules';
import { enqueueSnackbar } from '../shared/snackbar';

export default function ItemContent({ view }: { view: ItemEditorView }) {
  return <>{view.artworks.length === 0 ? <NoDrawing /> : <WithShelf view={view} />}</>;
}

function NoDrawing() {
  return (
    <div className="sheet empty">
      <p>To price an item, a drawing is needed first.</p>
      <Button variant="contained" href="/artwork/new">
        Measure a drawing
      </Button>
    </div>
  );
}

/** The shelf as it is with what is made here. */
function WithShelf({ view: initial }: { readonly view: ItemEditorView }) {
  const { view, materials, addBlank, addVinyl } = useItemMaterials(initial);
  const { artworks, vinyls } = view.more;
  const more = useMemo(() => ({ artwork: artworks, vinyl: vinyls }), [artworks, vinyls]);
  if (view.shelf.blanks.length === 0 || view.shelf.vinyls.length === 0) return <NothingOnShelf />;
  return (
    <MaterialsContext.Provider value={materials}>
      <MakeInPlace onVinyl={addVinyl} onBlank={addBlank}>
        <LookFor more={more}>
          <Item view={view} />
        </LookFor>
      </MakeInPlace>
    </MaterialsContext.Provider>
  );
}

/** All blanks, or all vinyls, were archived: a new item begins with making one. */
function NothingOnShelf() {
  return (
    <div className="sheet empty">
      <p>An item is made of a blank and a vinyl, and the shelf lacks one of them.</p>
      <Button variant="contained" href="/items/new">
        Add what is missing
      </Button>
    </div>
  );
}

const rules = lateRules<ItemForm>(async () => (await import('../../core/input/item-inputs')).itemInput);

function Item({ view }: { readonly view: ItemEditorView }) {
  const [version, setVersion] = useState(view.item?.version ?? null);
  const settings = useSettings();
  const [start] = useState(() => startItem(view, settings));
  const form = useForm<ItemForm>({
    resolver: rules,
    defaultValues: start,
  });
  const item = useItemCalculation(view, form);
  const { plan, values, blank, calculation } = item;
  const spec = calculation.spec ?? null;
  useMissingMaterials(view, plan);
  const draft = useDraft({
    key: `item ${view.item?.id ?? `new ${view.startArtworkId}`} ${version}`,
    value: values,
    isChanged: form.formState.isDirty,
    restore: (stored) => form.reset(stored, { keepDefaultValues: true }),
    restart: () => form.reset(start),
  });
  const id = view.item?.id ?? null;
  const { archived, archive } = useArchive({ path: `/api/items/${id}`, archived: view.item?.archived ?? false });
  const isNew = view.item === null && version === null;
  const save = useSave<ItemForm, { id: number; version: number }>({
    form,
    method: isNew ? 'POST' : 'PUT',
    path: isNew ? '/api/items' : `/api/items/${id}`,
    version: version ?? undefined,
    onSaved: (answer) => {
      if (isNew) {
        draft.clear();
        return location.assign(`/items/${answer.id}`);
      }
      form.reset(form.getValues());
      setVersion(answer.version);
      return void enqueueSnackbar('Saved.');
    },
  });
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
      <DraftNotice draft={draft} />
      {save.failure && <Failure spaced>{save.failure}</Failure>}
      {item.change && view.item?.acceptedCost && version === view.item.version && (
        <ChangeNotice itemId={view.item.id} change={item.change} sinceMs={view.item.acceptedCost.atMs} />
      )}
      <InTheWay findings={item.findings} />
      <LicenceCautions plan={plan} artworks={view.artworks} />
      <div className="cols fields-result">
        <ItemSide plan={plan} form={form} view={view} blank={blank} colourName={values.colourName} spec={spec} />
        <ItemResults
          plan={plan}
          chosen={item.options}
          setChosen={item.setOptions}
          calculation={calculation}
          form={form}
          view={view}
          blank={blank}
          input={item.input}
          layers={item.layers}
          values={values}
        />
      </div>
    </form>
  );
}

/** Artworks that may not be sold as things stand, each once. */
function LicenceCautions({ plan, artworks }: { readonly plan: ItemPlan; readonly artworks: readonly ArtworkView[] }) {
  const used = new Set(plan.placements.map((placement) => placement.artworkId));
  return artworks.map((artwork) => {
    const caution = used.has(artwork.id) && describeLicenceCaution(artwork.licence);
    return (
      caution && (
        <div key={artwork.id} className="notice below-4">
          <strong>{artwork.name}</strong>
          {caution} <a href={`/artwork/${artwork.id}`}>Say whose it is</a>
        </div>
      )
    );
  });
}
