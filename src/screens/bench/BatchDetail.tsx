// The side of the bench: how it looks on the cutter or on the piece, the press steps, and the cautions that apply.

import type { Station } from '../../core/orders';
import { STEP_LABELS } from '../../core/pressing';
import { formatDuration, formatLength, formatTemperature } from '../../core/units';
import type { BenchItemView, BenchPartView, BenchView } from '../../views/views';
import { describeCaution } from '../../wording/problems';
import { Picture } from '../shared/Picture';
import { useSettings } from '../shared/settings';

export function BatchDetail({ station, view, parts }: { station: Station; view: BenchView; parts: readonly BenchPartView[] }) {
  const settings = useSettings();
  const first = parts[0]!;
  const item = view.items.find((candidate) => candidate.itemId === first.itemId);
  if (!item) return <div />;
  const colourOf = (vinylId: number | undefined) => view.vinyls.find((vinyl) => vinyl.id === vinylId)?.colourHex;
  const layer = item.layers[first.layerIndex];
  const single = station === 'cut' || station === 'weed';
  const picture = single ? { ...item.picture, layers: item.picture.layers.slice(first.layerIndex, first.layerIndex + 1) } : item.picture;
  const colours = single ? [colourOf(first.vinylId)] : item.layers.map((entry) => colourOf(entry.vinylId));
  return (
    <aside className="cols" aria-label="Details">
      <div className="sheet">
        <div className="soft">{station === 'cut' || station === 'weed' ? `as cut, ${layer?.handedness ?? ''}` : `as worn, ${item.placement}`}</div>
        <div style={{ background: 'var(--cut-side)', padding: 12, margin: '8px -16px 8px' }}><Picture picture={picture} colours={colours} mirrored={single && (layer?.mirrored ?? false)} label={`${first.itemName}, ${single ? 'as cut' : 'as worn'}`} maxHeight={170} /></div>
        <strong>{first.itemName}</strong>
        <div className="soft">{single && layer ? `${first.layerName}, ${formatLength(layer.boxWidthMm, settings)} × ${formatLength(layer.boxHeightMm, settings)}` : `${item.blankName}, ${formatLength(item.widthMm, settings)} wide`}</div>
        <div className="soft"><a href={`/orders/${first.orderId}`}>{first.orderTitle}</a>, {first.customerName}</div>
      </div>
      {station === 'press' && item.plan && <PressSteps item={item} />}
      {station === 'press' && item.plan?.cautions.map((caution) => <div key={caution.kind} className="notice">{describeCaution(caution)}</div>)}
      {station === 'weed' && <div className="notice">Keep everything that came off until it is checked. Cap hooks and knives; cut away from your hands.</div>}
      {station === 'cut' && <div className="notice">Test cut first. The true width is what the machine reads, not what the label says.</div>}
    </aside>
  );
}

function PressSteps({ item }: { item: BenchItemView }) {
  const settings = useSettings();
  return (
    <div className="sheet">
      <ol className="steps">
        {item.plan!.steps.map((step, index) => (
          <li key={index}>{STEP_LABELS[step.kind]}{step.vinylName ? `: ${step.vinylName}` : ''}{step.covered && step.kind !== 're-press' ? ', covered' : ''}
            <small>{[step.temperatureC === undefined ? null : formatTemperature(step.temperatureC, settings), formatDuration(step.seconds, settings), step.pressure, step.kind === 'peel' ? step.peel : null].filter(Boolean).join(' · ')}</small></li>
        ))}
      </ol>
    </div>
  );
}
