// A measured drawing on screen: the seam, its layers with their figures, and what was left out of it.

import { useState } from 'react';
import TextField from '@mui/material/TextField';
import MenuItem from '@mui/material/MenuItem';
import { decideHandedness } from '../../core/materials';
import { formatArea, formatLength, formatPath } from '../../core/units';
import type { MeasuredFile, VinylView } from '../../views/views';
import { getDisplayColourName } from '../../wording/colours';
import { describeLeftOut } from '../../wording/problems';
import { describeHandedness } from '../../wording/stations';
import { SeamView } from '../shared/SeamView';
import { useSettings } from '../shared/settings';

type Props = { readonly measured: MeasuredFile; readonly name: string; readonly layerNames: readonly string[] | null; readonly onRename?: (index: number, name: string) => void; readonly vinyls: readonly VinylView[]; readonly children: React.ReactNode };

export function MeasuredArtwork({ measured, name, layerNames, onRename, vinyls, children }: Props) {
  const settings = useSettings();
  const [vinylId, setVinylId] = useState(vinyls[0]?.id ?? 0);
  const vinyl = vinyls.find((candidate) => candidate.id === vinylId);
  const handedness = decideHandedness(vinyl?.kind ?? 'smooth', { seenThrough: false });
  const { measurement } = measured;
  const overlaps = measurement.layers.filter((layer) => layer.cutLengthMm > layer.outlineLengthMm * 1.005 + 0.5);
  return (
    <div className="cols" style={{ gridTemplateColumns: 'minmax(0, 1.3fr) minmax(min(470px, 100%), 1fr)' }}>
      <div className="sheet flush lifted">
        <SeamView picture={measured.picture} mirrored={handedness.mirrored} cutCaption={describeHandedness(handedness)} name={name || 'drawing'} size={`${formatLength(measurement.widthMm, settings)} × ${formatLength(measurement.heightMm, settings)}`} height={470} />
      </div>
      <div className="cols">
        <section className="sheet cols">
          {children}
          {vinyls.length > 0 && <TextField select label="As cut from" value={vinylId} onChange={(event) => setVinylId(Number(event.target.value))} helperText={`Decides which side the knife sees: ${describeHandedness(handedness)}.`}>{vinyls.map((option) => <MenuItem key={option.id} value={option.id}>{option.name}</MenuItem>)}</TextField>}
        </section>
        <section className="sheet flush" aria-label="Layers" tabIndex={0} style={{ fontSize: '.9rem' }}>
          <table className="plain">
            <thead><tr><th>layer</th><th className="right">net</th><th className="right">path</th><th className="right">pieces</th><th className="right">cavities</th></tr></thead>
            <tbody>
              {measurement.layers.map((layer, index) => (
                <tr key={layer.colour}>
                  <td><div className="layer-cell"><i className="swatch" style={{ background: layer.colour, flex: 'none' }} />{onRename && layerNames ? <input className="layer-name" aria-label={`Name of layer ${index + 1}`} value={layerNames[index] ?? ''} maxLength={60} onChange={(event) => onRename(index, event.target.value)} /> : (layerNames?.[index] ?? getDisplayColourName(layer.colour))}</div><span className="soft figures" style={{ fontSize: '.8rem', whiteSpace: 'nowrap' }}>box {formatLength(layer.box.width, settings).replace(/ \w+$/, '')} × {formatLength(layer.box.height, settings)}</span></td>
                  <td className="num">{formatArea(layer.netMm2, settings)}</td><td className="num">{formatPath(layer.cutLengthMm, settings)}</td><td className="num">{layer.pieces}</td><td className="num">{layer.cavities}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
        {(measured.leftOut.length > 0 || measured.gradients > 0 || !measured.sizeStated || overlaps.length > 0) && (
          <section className="sheet cols" aria-label="What to know">
            {measured.leftOut.map((entry) => {
              const words = describeLeftOut(entry);
              return <div key={entry.kind} className="notice"><strong>{words.what}</strong>{words.remedy}</div>;
            })}
            {overlaps.map((layer) => <div key={layer.colour} className="notice"><strong>Shapes of one colour overlap or lie doubled</strong>The knife follows {formatPath(layer.cutLengthMm, settings)}, the outline needs {formatPath(layer.outlineLengthMm, settings)}. Unite them in your drawing program.</div>)}
            {measured.gradients > 0 && <div className="notice"><strong>{measured.gradients} fading fills taken as flat</strong>Vinyl has one colour: the first of each was taken.</div>}
            {!measured.sizeStated && <div className="soft">The file states no size in lengths; the width you set is what counts.</div>}
          </section>
        )}
      </div>
    </div>
  );
}
