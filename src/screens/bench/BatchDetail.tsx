// The side of the bench: how it looks on the cutter or on the piece, the press steps, and the cautions that apply.

import type { ArtworkPicture } from '../../core/artwork';
import type { Station } from '../../core/orders';
import { formatLength } from '../../core/units';
import type { BenchLineView, BenchPartView, BenchView } from '../../views/bench';
import { describePressStep } from '../../wording/press-steps';
import { InTheWay } from '../shared/InTheWay';
import { Picture } from '../shared/Picture';
import { useSettings } from '../shared/settings';
import { Caution } from './Caution';
import { PressCautions } from './PressCautions';

export function BatchDetail({
  station,
  view,
  parts,
}: {
  station: Station;
  view: BenchView;
  parts: readonly BenchPartView[];
}) {
  const settings = useSettings();
  const first = parts[0]!;
  const line = view.lines.find((candidate) => candidate.lineId === first.lineId);
  if (!line) return <div />;
  const colourOf = (vinylId: number | undefined) => view.vinyls.find((vinyl) => vinyl.id === vinylId)?.colourHex;
  const layer = line.layers[first.layerIndex];
  const single = station === 'cut' || station === 'weed';
  const shown = line.placements.map((placement, at) => ({
    ...placement,
    layers: line.layers.filter((entry) => entry.placement === at),
  }));
  return (
    <aside className="cols" aria-label="Details">
      <InTheWay findings={line.findings.filter((finding) => finding.station === station)} />
      <div className="sheet">
        {single && layer ? (
          <Placed
            caption={`as cut, ${layer.handedness}`}
            picture={{
              ...shown[layer.placement]!.picture,
              layers: shown[layer.placement]!.picture.layers.slice(layer.layerIndex, layer.layerIndex + 1),
            }}
            colours={[colourOf(first.vinylId)]}
            mirrored={layer.mirrored}
            label={`${first.itemName}, as cut`}
          />
        ) : (
          shown.map((placement) => (
            <Placed
              key={placement.place}
              caption={`as worn, ${placement.place}`}
              picture={placement.picture}
              colours={placement.layers.map((entry) => colourOf(entry.vinylId))}
              mirrored={false}
              label={`${first.itemName}, as worn, ${placement.place}`}
              small={shown.length > 1}
            />
          ))
        )}
        <strong>{first.itemName}</strong>
        <div className="soft">
          {single && layer
            ? `${first.layerName}, ${formatLength(layer.boxWidthMm, settings)} × ${formatLength(layer.boxHeightMm, settings)}`
            : `${line.blankName}, ${line.placements.map((placement) => `${formatLength(placement.widthMm, settings)} wide`).join(' and ')}`}
        </div>
        <div className="soft">
          <a href={`/orders/${first.orderId}`}>{first.orderTitle}</a>, {first.customerName}
        </div>
      </div>
      {station === 'press' && line.plan && <PressSteps line={line} />}
      <Cautions station={station} line={line} />
    </aside>
  );
}

const WEED_CAUTION =
  'Keep everything that came off until it is checked. Cap hooks and knives; cut away from your hands.';
const CUT_CAUTION =
  'The true width is what the machine reads, not what the label says. Test cut first where setting, lot or blade is new.';

/** What to take care of at this station. */
function Cautions({ station, line }: { readonly station: Station; readonly line: BenchLineView }) {
  switch (station) {
    case 'press':
      return <PressCautions cautions={line.plan?.cautions ?? []} />;
    case 'weed':
      return <Caution name="weed" full={WEED_CAUTION} />;
    case 'cut':
      return <Caution name="cut" full={CUT_CAUTION} />;
    case 'check':
      return null;
    default:
      return station satisfies never;
  }
}

function Placed({
  caption,
  picture,
  colours,
  mirrored,
  label,
  small = false,
}: {
  caption: string;
  picture: ArtworkPicture;
  colours: readonly (string | undefined)[];
  mirrored: boolean;
  label: string;
  small?: boolean;
}) {
  return (
    <>
      <div className="soft">{caption}</div>
      <div className="pad-4 flat above-3 after-0 below-3 before-0 on-cut-side">
        <Picture picture={picture} colours={colours} mirrored={mirrored} label={label} maxHeight={small ? 96 : 170} />
      </div>
    </>
  );
}

function PressSteps({ line }: { line: BenchLineView }) {
  const settings = useSettings();
  return (
    <div className="sheet">
      <ol className="steps">
        {line.plan!.steps.map((step, index) => (
          <li key={index}>
            {describePressStep(step, settings).what}
            <small>{describePressStep(step, settings).facts.join(' · ')}</small>
          </li>
        ))}
      </ol>
    </div>
  );
}
