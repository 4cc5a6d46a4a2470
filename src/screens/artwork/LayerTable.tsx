// The layers: name, vinyl, and what was measured of each.

import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { describeLayerFigures, LAYER_ROLES, type LayerRole } from '../../core/artwork';
import { formatLength, formatPath } from '../../core/units';
import type { PreparedFile } from '../../views/artwork';
import type { VinylView } from '../../views/shelf';
import { LAYER_ROLE_NAMES } from '../../wording/findings';
import { plural } from '../../wording/plural';
import { MORE } from '../shared/more-choices';
import { useLookFor } from '../shared/LookFor';
import { useMaker } from '../shared/MakeInPlace';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import type { DotGroup, LayerFigures, LayerMeasurement } from '../../core/artwork';
import { NumberHead } from '../shared/NumberHead';
import { Swatch } from '../shared/Swatch';

type Props = {
  readonly file: Pick<PreparedFile, 'measurement'> & Partial<Pick<PreparedFile, 'dots'>>;
  readonly nameOf: (layer: string) => string;
  readonly vinyls: readonly VinylView[];
  readonly vinylIds: Readonly<Record<string, number | null>>;
  readonly onRename: (layer: string, name: string) => void;
  readonly onVinyl: (layer: string, vinylId: number | null) => void;
  readonly onRole: (layer: string, role: LayerRole) => void;
};

export function LayerTable({ file, nameOf, vinyls, vinylIds, onRename, onVinyl, onRole }: Props) {
  return (
    <section className="sheet flush layer-table text-small" aria-label="Layers" tabIndex={0}>
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">layer</th>
            <th scope="col">cut from</th>
            <NumberHead>net</NumberHead>
            <NumberHead>path</NumberHead>
            <NumberHead>pieces</NumberHead>
            <NumberHead>cavities</NumberHead>
            <NumberHead>stroke, gap</NumberHead>
          </tr>
        </thead>
        <tbody>
          {file.measurement.layers.map((layer) => {
            const figures = describeLayerFigures(layer);
            const dots = file.dots?.[layer.key] ?? [];
            return (
              <LayerRow
                key={layer.key}
                layer={layer}
                nameOf={nameOf}
                onRename={onRename}
                dots={dots}
                file={file}
                onRole={onRole}
                vinyls={vinyls}
                vinylIds={vinylIds}
                onVinyl={onVinyl}
                figures={figures}
              />
            );
          })}
        </tbody>
      </table>
    </section>
  );
}

type LayerRowProps = {
  readonly layer: LayerMeasurement;
  readonly nameOf: (layer: string) => string;
  readonly onRename: (layer: string, name: string) => void;
  readonly dots: readonly Pick<DotGroup, 'diameterMm' | 'count'>[];
  readonly file: Pick<PreparedFile, 'measurement'> & Partial<Pick<PreparedFile, 'dots'>>;
  readonly onRole: (layer: string, role: LayerRole) => void;
  readonly vinyls: readonly VinylView[];
  readonly vinylIds: Readonly<Record<string, number | null>>;
  readonly onVinyl: (layer: string, vinylId: number | null) => void;
  readonly figures: LayerFigures;
};

function LayerRow({ layer, nameOf, onRename, dots, file, onRole, vinyls, vinylIds, onVinyl, figures }: LayerRowProps) {
  const settings = useSettings();
  return (
    <tr>
      <NameCell layer={layer} nameOf={nameOf} onRename={onRename} dots={dots} file={file} onRole={onRole} />
      <VinylCell
        name={nameOf(layer.key)}
        vinyls={vinyls}
        vinylId={vinylIds[layer.key] ?? null}
        onVinyl={(vinylId) => onVinyl(layer.key, vinylId)}
      />
      <td className="num">
        <Why figure={figures.net} />
      </td>
      <td className="num">
        <Why figure={figures.path}>{formatPath(layer.cutLengthMm, settings)}</Why>
      </td>
      <td className="num">{layer.pieces}</td>
      <td className="num">{layer.cavities}</td>
      <td className="num">
        {figures.thinnest ? (
          <Why figure={figures.thinnest}>{formatLength(figures.thinnest.value, settings, 2)}</Why>
        ) : (
          '–'
        )}
        {figures.gap && (
          <div className="soft">
            <Why figure={figures.gap}>{formatLength(figures.gap.value, settings, 2)}</Why>
          </div>
        )}
      </td>
    </tr>
  );
}

type NameCellProps = Pick<LayerRowProps, 'layer' | 'nameOf' | 'onRename' | 'dots' | 'file' | 'onRole'>;

function NameCell({ layer, nameOf, onRename, dots, file, onRole }: NameCellProps) {
  const settings = useSettings();
  return (
    <td className="area-column">
      <div className="layer-cell">
        <i className="swatch fixed-size" style={{ background: layer.colour }} />
        <input
          className="layer-name"
          aria-label={`Name of layer ${nameOf(layer.key)}`}
          value={nameOf(layer.key)}
          maxLength={60}
          onChange={(event) => onRename(layer.key, event.target.value)}
        />
      </div>
      <span className="soft figures text-small nowrap">
        {formatLength(layer.box.width, settings).replace(/ \w+$/, '')} × {formatLength(layer.box.height, settings)}
      </span>
      {dots.slice(0, 3).map((group) => (
        <div key={group.diameterMm} className="soft text-small">
          {plural(group.count, 'dot')} of {formatLength(group.diameterMm, settings, 2)}
        </div>
      ))}
      {(file.measurement.layers.length > 1 || layer.role !== 'worn') && (
        <TextField
          select
          size="small"
          variant="standard"
          value={layer.role}
          onChange={(event) => onRole(layer.key, event.target.value as LayerRole)}
          className="layer-role"
          slotProps={{ htmlInput: { 'aria-label': `What ${nameOf(layer.key)} is for` } }}
        >
          {LAYER_ROLES.map((role) => (
            <MenuItem key={role} value={role}>
              {LAYER_ROLE_NAMES[role]}
            </MenuItem>
          ))}
        </TextField>
      )}
    </td>
  );
}

/** No vinyl has it for its number. */
const LOOK = 'look';

type VinylCellProps = {
  /** Of the layer. */
  readonly name: string;
  readonly vinyls: readonly VinylView[];
  /** Null while none is chosen. */
  readonly vinylId: number | null;
  readonly onVinyl: (vinylId: number | null) => void;
};

function VinylCell({ name, vinyls, vinylId, onVinyl }: VinylCellProps) {
  const maker = useMaker();
  const look = useLookFor('vinyl');
  return (
    <td className="vinyl-column">
      <TextField
        select
        size="small"
        variant="standard"
        fullWidth
        value={vinyls.some((vinyl) => vinyl.id === vinylId) ? vinylId : ''}
        onChange={(event) => {
          if (event.target.value === MORE) maker?.vinyl((made) => onVinyl(made.id));
          else if (event.target.value === LOOK) look?.(onVinyl);
          else onVinyl(event.target.value === '' ? null : Number(event.target.value));
        }}
        slotProps={{
          select: {
            displayEmpty: true,
            renderValue: (value: unknown) =>
              value === '' ? 'a smooth vinyl' : vinyls.find((vinyl) => vinyl.id === value)?.name,
          },
          htmlInput: { 'aria-label': `Vinyl of ${name}` },
        }}
      >
        <MenuItem value="">a smooth vinyl, not chosen yet</MenuItem>
        {vinyls.map((vinyl) => (
          <MenuItem key={vinyl.id} value={vinyl.id}>
            <Swatch colour={vinyl.colourHex} />
            {vinyl.name}
          </MenuItem>
        ))}
        {look && (
          <MenuItem value={LOOK}>
            <em>Look for a vinyl…</em>
          </MenuItem>
        )}
        {maker && (
          <MenuItem value={MORE}>
            <em>Another vinyl…</em>
          </MenuItem>
        )}
      </TextField>
    </td>
  );
}
