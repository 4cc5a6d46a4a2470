// A drawing on the desk: the seam with its marks, what stands in the way, steps, layers, and files for the cutter.

import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { LICENCES, type Licence } from '../../core/artwork';
import { decideHandedness, ORDINARY_VINYL } from '../../core/materials';
import { formatLength, formatShare } from '../../core/units';
import type { PreparedFile } from '../../views/artwork';
import type { VinylView } from '../../views/shelf';
import { LICENCE_NAMES } from '../../wording/findings';
import { describeHandedness } from '../../wording/stations';
import { useKeys } from '../shared/keys';
import { SeamView, type SeamMark } from '../shared/SeamView';
import { useSettings } from '../shared/settings';
import { Checks } from './Checks';
import { setRole, toSteps, type Desk } from './desk-state';
import { ExportPanel } from './ExportPanel';
import { LayerTable } from './LayerTable';
import { SizeFields } from './SizeFields';
import { StepList } from './StepList';
import type { ArtworkMeasurement } from '../../core/artwork';
import type { DeskState } from './desk-state';

type Props = {
  readonly desk: Desk;
  readonly file: PreparedFile;
  /** The findings are those of what is shown. */
  readonly checked: boolean;
  /** The drawing as it came. */
  readonly fetchText: () => Promise<string | null>;
  readonly vinyls: readonly VinylView[];
  readonly nameOf: (layer: string) => string;
};

export function ArtworkDesk({ desk, file, checked, fetchText, vinyls, nameOf }: Props) {
  const { state } = desk;
  const { measurement } = file;
  const vinylOf = (key: string) => vinyls.find((vinyl) => vinyl.id === state.vinylIds[key]);
  // A stencil lies on its thing face up, whatever it is cut from.
  const handedness = measurement.layers.map((layer) =>
    layer.role === 'stencil' ? null : decideHandedness(vinylOf(layer.key) ?? ORDINARY_VINYL, { seenThrough: false }),
  );
  const sides = [
    ...new Set(handedness.map((entry) => (entry ? describeHandedness(entry) : 'not mirrored: a stencil'))),
  ];
  const mirrored = handedness.map((entry) => entry?.mirrored ?? false);
  const marks = file.findings.flatMap((finding): SeamMark[] =>
    finding.kind === 'thin-strokes' || finding.kind === 'thin-gaps'
      ? finding.places.map((place) => ({ ...place, kind: finding.kind === 'thin-strokes' ? 'stroke' : 'gap' }))
      : [],
  );
  useKeys('Steps', [{ keys: '$mod+z', shown: 'Ctrl Z', does: 'undo the last step', run: () => desk.undo?.() }]);
  const steps = toSteps(state);
  return (
    <div className="cols split-3-2">
      <DeskFigures
        file={file}
        measurement={measurement}
        vinylOf={vinylOf}
        mirrored={mirrored}
        sides={sides}
        state={state}
        marks={marks}
        nameOf={nameOf}
        vinyls={vinyls}
        desk={desk}
      />
      <div className="cols">
        <SizeAndName state={state} measurement={measurement} desk={desk} />
        <Checks
          checked={checked}
          findings={file.findings}
          widthMm={measurement.widthMm}
          leftOut={file.leftOut}
          gradients={file.gradients}
          sizeStated={file.sizeStated}
          licence={state.licence}
          nameOf={nameOf}
          taken={state.steps.filter((step) => step.on)}
          onTake={desk.take}
        />
        <StepList
          steps={state.steps}
          prepared={file}
          nameOf={nameOf}
          onChange={(next) => desk.act({ steps: next })}
          onUndo={desk.undo}
        />
        <ExportPanel
          fetchText={fetchText}
          steps={steps}
          baseName={state.name}
          layers={measurement.layers.map((layer, index) => ({
            key: layer.key,
            name: nameOf(layer.key),
            mirrored: mirrored[index]!,
            role: layer.role,
          }))}
        />
      </div>
    </div>
  );
}

type SizeAndNameProps = {
  readonly state: DeskState;
  readonly measurement: ArtworkMeasurement;
  readonly desk: Desk;
};

function SizeAndName({ state, measurement, desk }: SizeAndNameProps) {
  return (
    <section className="sheet cols" aria-label="Size and name">
      <SizeFields size={state.size} measured={measurement} onChange={(size) => desk.change({ size })} />
      <div className="grid gap-4 split-6-5">
        <TextField
          label="Name"
          value={state.name}
          onChange={(event) => desk.change({ name: event.target.value })}
          error={state.name.trim() === ''}
          helperText={state.name.trim() === '' ? 'Write a name, so that you can find it again.' : undefined}
          slotProps={{ htmlInput: { maxLength: 120 } }}
        />
        <TextField
          select
          label="Whose drawing"
          value={state.licence}
          onChange={(event) => desk.change({ licence: event.target.value as Licence })}
        >
          {LICENCES.map((licence) => (
            <MenuItem key={licence} value={licence}>
              {LICENCE_NAMES[licence]}
            </MenuItem>
          ))}
        </TextField>
      </div>
    </section>
  );
}

type DeskFiguresProps = {
  readonly file: PreparedFile;
  readonly measurement: ArtworkMeasurement;
  readonly vinylOf: (key: string) => VinylView | undefined;
  readonly mirrored: boolean[];
  readonly sides: string[];
  readonly state: DeskState;
  readonly marks: SeamMark[];
  readonly nameOf: (layer: string) => string;
  readonly vinyls: readonly VinylView[];
  readonly desk: Desk;
};

function DeskFigures({
  file,
  measurement,
  vinylOf,
  mirrored,
  sides,
  state,
  marks,
  nameOf,
  vinyls,
  desk,
}: DeskFiguresProps) {
  const settings = useSettings();
  return (
    <div className="cols">
      <div className="sheet flush lifted">
        <SeamView
          picture={file.picture}
          colours={measurement.layers.map((layer) => vinylOf(layer.key)?.colourHex)}
          mirrored={mirrored}
          cutCaption={sides.join('; ')}
          name={state.name || 'drawing'}
          size={`${formatLength(measurement.widthMm, settings)} × ${formatLength(measurement.heightMm, settings)}`}
          height={330}
          marks={marks}
          widthMm={measurement.widthMm}
          weeding
        />
      </div>
      <LayerTable
        file={file}
        nameOf={nameOf}
        vinyls={vinyls}
        vinylIds={state.vinylIds}
        onRename={(key, name) => desk.change({ names: { ...state.names, [key]: name } })}
        onRole={(layer, role) => desk.act({ steps: setRole(state.steps, layer, role) })}
        onVinyl={(key, id) => desk.act({ vinylIds: { ...state.vinylIds, [key]: id } })}
      />
      <p className="soft flat">
        {marks.length > 0 && (
          <span className="after-5 nowrap">
            <i className="mark stroke before-0" />
            thin stroke
            <i className="mark gap" />
            narrow gap
          </span>
        )}
        {measurement.chirality.chiral
          ? 'Mirrored and unmirrored, this drawing can be told apart'
          : 'Mirrored, this drawing looks the same'}{' '}
        ({formatShare(measurement.chirality.score, settings, 0)} of it falls on its mirror image). Chiral mirrors what
        the vinyl needs in any case.
      </p>
    </div>
  );
}
