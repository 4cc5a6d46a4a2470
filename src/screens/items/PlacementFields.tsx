// One artwork at one place of the blank: which, how wide, in which vinyls, and where.

import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { Controller, useWatch, type UseFormReturn } from 'react-hook-form';
import { getWornLayers, haveOwnLengths, PLAIN_LETTERING } from '../../core/artwork';
import {
  checkPlacement,
  findNamedArea,
  getAreasOfSize,
  getKindFacts,
  type PlacementFault,
  type PrintArea,
} from '../../core/materials';
import type { ArtworkView } from '../../views/artwork';
import { formatLength, groupBy } from '../../core/units';
import type { BlankView, VinylView } from '../../views/shelf';
import type { ItemEditorView } from '../../views/items';
import { describeArea, describePlacementFault } from '../../wording/placement';
import { Choice, TextLine } from '../shared/form';
import { late } from '../shared/late';
import { useLookFor } from '../shared/LookFor';
import { useMaker } from '../shared/MakeInPlace';
import { LengthField } from '../shared/number-fields';
import { useSettings } from '../shared/settings';
import { useMounted } from '../shared/use-mounted';
import { startForm, type ItemForm, type PlacementForm } from './item-form';
import { useMaterials } from './item-materials';

const LetteringPlacement = late(() => import('./LetteringPlacement'));

type Path = `placements.${number}` | `details.options.${number}.placement`;
type Props = {
  readonly form: UseFormReturn<ItemForm>;
  readonly path: Path;
  readonly view: ItemEditorView;
  readonly blank: BlankView | undefined;
};

export function PlacementFields({ form, path, view, blank }: Props) {
  const settings = useSettings();
  const materials = useMaterials();
  const look = useLookFor('artwork');
  // What comes late is not drawn on the server.
  const isMounted = useMounted();
  const values = useWatch({ control: form.control, name: path }) as PlacementForm | undefined;
  const sizeName = useWatch({ control: form.control, name: 'sizeName' });
  if (!values) return null;
  const artwork = view.artworks.find((candidate) => candidate.id === Number(values.artworkId));
  const pickArtwork = async (id: number) => {
    form.setValue(`${path}.artworkId`, id, { shouldDirty: true });
    const { artwork: next, shelf } = await materials.takeArtwork(id, form.getValues('blankId'));
    // Meanwhile another one may have been picked.
    if (!next || Number(form.getValues(`${path}.artworkId`)) !== id) return;
    const started = startForm(next, shelf, form.getValues('blankId'), values.place);
    form.setValue(`${path}.vinylIds`, started.vinylIds, { shouldDirty: true });
    form.setValue(`${path}.widthMm`, started.widthMm, { shouldDirty: true });
  };
  const isAdhesive = (id: number | string) => {
    const vinyl = view.shelf.vinyls.find((candidate) => candidate.id === Number(id));
    return vinyl !== undefined && getKindFacts(vinyl.kind).family === 'adhesive';
  };
  const checks = checkSizes(values, artwork, blank, sizeName);
  const own = checks.find((entry) => entry.size === sizeName);
  const leaveLettering = () => {
    form.setValue(`${path}.lettering`, null, { shouldDirty: true });
    const [first] = view.artworkNames;
    if (first) void pickArtwork(first.id);
  };
  return (
    <>
      {values.lettering && isMounted && (
        <LetteringPlacement form={form} path={path} start={values.lettering} onLeave={leaveLettering} />
      )}
      <div className="whole-row" hidden={Boolean(values.lettering)}>
        <Choice
          form={form}
          name={`${path}.artworkId`}
          label="Artwork"
          options={view.artworkNames.map((option) => ({ value: option.id, label: option.name }))}
          onPicked={(value) => void pickArtwork(Number(value))}
          more={[
            ...(look ? [{ label: 'Look for a drawing…', run: () => look((id) => void pickArtwork(id)) }] : []),
            {
              label: 'The customer’s own text…',
              run: () => form.setValue(`${path}.lettering`, PLAIN_LETTERING, { shouldDirty: true }),
            },
          ]}
        />
      </div>
      {artwork && <VinylChoices form={form} path={path} artwork={artwork} vinyls={view.shelf.vinyls} />}
      {!values.lettering && <LengthField form={form} name={`${path}.widthMm`} label="Width" />}
      <TextLine
        form={form}
        name={`${path}.place`}
        label="Where on it"
        list={(blank ? getAreasOfSize(blank.areas, sizeName) : []).map((option) => describeArea(option, settings))}
        {...(own && own.faults.length === 0
          ? {
              help: `within the ${own.area.name}, ${formatLength(own.area.widthMm, settings)} × ${formatLength(own.area.heightMm, settings)}`,
            }
          : {})}
      />
      <SizeFaults checks={checks} />
      {artwork && <ScaledNote artwork={artwork} widthMm={Number(values.widthMm)} />}
      {!values.lettering && <WidthsBySize form={form} path={path} blank={blank} widths={values.widths ?? {}} />}
      {values.vinylIds.some(isAdhesive) && <SeenThrough form={form} path={path} />}
    </>
  );
}

/** Adhesive vinyl may be stuck on from behind. */
function SeenThrough({ form, path }: Pick<Props, 'form' | 'path'>) {
  return (
    <Controller
      control={form.control}
      name={`${path}.seenThrough`}
      render={({ field }) => (
        <FormControlLabel
          className="whole-row"
          control={<Checkbox checked={field.value} onChange={(_, on) => field.onChange(on)} />}
          label="Seen through glass, from behind"
        />
      )}
    />
  );
}

type WidthsBySizeProps = Pick<Props, 'form' | 'path' | 'blank'> & { readonly widths: PlacementForm['widths'] };

function WidthsBySize({ form, path, blank, widths }: WidthsBySizeProps) {
  const sizes = blank && blank.sizes.length > 1 ? blank.sizes : [];
  if (sizes.length === 0) return null;
  return (
    <details className="whole-row" open={Object.values(widths).some((width) => Number(width) > 0)}>
      <summary>Another width for some sizes</summary>
      <div className="fields above-4 small-fields">
        {sizes.map((size) => (
          <LengthField key={size.name} form={form} name={`${path}.widths.${size.name}`} label={size.name} />
        ))}
      </div>
    </details>
  );
}

type VinylChoicesProps = Pick<Props, 'form' | 'path'> & {
  readonly artwork: ArtworkView;
  readonly vinyls: readonly VinylView[];
};

/** One for each worn layer; one that is missing is made here. */
function VinylChoices({ form, path, artwork, vinyls }: VinylChoicesProps) {
  const maker = useMaker();
  const look = useLookFor('vinyl');
  const choose = (index: number, id: number) => form.setValue(`${path}.vinylIds.${index}`, id, { shouldDirty: true });
  return getWornLayers(artwork.measurement).map((_, index) => (
    <div key={index} className="whole-row">
      <Choice
        form={form}
        name={`${path}.vinylIds.${index}`}
        label={`Vinyl for ${artwork.layerNames[index] ?? `layer ${index + 1}`}`}
        options={vinyls.map((option) => ({
          value: option.id,
          label: option.name,
          swatch: option.colourHex,
        }))}
        more={[
          ...(look ? [{ label: 'Look for a vinyl…', run: () => look((id) => choose(index, id)) }] : []),
          ...(maker ? [{ label: 'Another vinyl…', run: () => maker.vinyl((made) => choose(index, made.id)) }] : []),
        ]}
      />
    </div>
  ));
}

type SizeCheck = { readonly size: string; readonly area: PrintArea; readonly faults: readonly PlacementFault[] };

/** Each size has its own print area, and may have its own width. Sizes without an area of that name are left out. */
function checkSizes(
  values: PlacementForm,
  artwork: ArtworkView | undefined,
  blank: BlankView | undefined,
  usualSize: string,
): readonly SizeCheck[] {
  if (!artwork || !blank) return [];
  const { widthMm, heightMm } = artwork.measurement;
  const sizes = blank.sizes.length > 1 ? blank.sizes.map((size) => size.name) : [usualSize];
  return sizes.flatMap((size) => {
    const across = Number(values.widths?.[size]) || Number(values.widthMm);
    const area = findNamedArea(blank.areas, size, values.place ?? '');
    return area && across > 0
      ? [{ size, area, faults: checkPlacement(area, across, (heightMm * across) / widthMm) }]
      : [];
  });
}

/** The same fault of several sizes is said once. */
function SizeFaults({ checks }: { readonly checks: readonly SizeCheck[] }) {
  const settings = useSettings();
  const told = checks.flatMap(({ size, area, faults }) =>
    faults.map((fault) => ({ size, words: describePlacementFault(fault, area, settings) })),
  );
  return [...groupBy(told, (entry) => entry.words)].map(([words, own]) => (
    <p key={words} className="short flat whole-row" role="status">
      {own.length < checks.length ? `${own.map((entry) => entry.size).join(', ')}: ` : ''}
      {words}
    </p>
  ));
}

/** Lengths of the drawing's own steps grow and shrink with it. */
function ScaledNote({ artwork, widthMm }: { readonly artwork: ArtworkView; readonly widthMm: number }) {
  const settings = useSettings();
  const madeAt = artwork.measurement.widthMm;
  const isScaled = widthMm > 0 && Math.abs(widthMm - madeAt) > SAME_WIDTH_MM;
  if (!isScaled || !haveOwnLengths(artwork.steps)) return null;
  return (
    <p className="soft flat whole-row">
      The artwork was made ready at {formatLength(madeAt, settings)}: outlines, overlaps and marks of its steps are
      scaled with it. To keep them as they are, <a href={`/artwork/${artwork.id}`}>set it to this width</a>.
    </p>
  );
}

/** Widths nearer than this are the same to a seller. */
const SAME_WIDTH_MM = 0.5;
