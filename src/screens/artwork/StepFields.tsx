// The lengths and angles of one step, to be changed later.

import { NumberBox } from '../shared/NumberBox';
import { useNumbers } from '../shared/use-numbers';
import { useTyped } from '../shared/use-typed';
import type { StepAction } from '../../core/artwork';
import { MM_PER_INCH } from '../../core/units';
import { useSettings } from '../shared/settings';

const LABELS: Readonly<Record<string, string>> = {
  degrees: 'Turn by',
  widthMm: 'Width of the line',
  withinMm: 'Doubled within',
  underMm2: 'Smaller than',
  byMm: 'By',
  overlapMm: 'Overlap',
  marginMm: 'Margin',
  sizeMm: 'Size of a mark',
  gapMm: 'Distance from the design',
  joinMm: 'Together when nearer than',
  diameterMm: 'Diameter',
  playMm: 'Hole larger by',
};

export function StepFields({ step, onChange }: { step: StepAction; onChange: (step: StepAction) => void }) {
  const keys = Object.keys(step).filter((key) => key in LABELS);
  if (keys.length === 0) return <p className="soft step-note">Nothing to set.</p>;
  return (
    <div className="fields step-body">
      {keys.map((key) => (
        <StepNumber
          key={key}
          name={key}
          value={(step as unknown as Record<string, number>)[key]!}
          onChange={(value) => onChange({ ...step, [key]: value })}
        />
      ))}
    </div>
  );
}

function StepNumber({ name, value, onChange }: { name: string; value: number; onChange: (value: number) => void }) {
  const { system } = useSettings();
  const unit = name === 'degrees' ? '°' : name === 'underMm2' ? 'mm²' : system === 'metric' ? 'mm' : 'in';
  const per = unit === 'in' ? MM_PER_INCH : 1;
  const { read, write } = useNumbers();
  const typed = useTyped({
    value: value / per,
    write: (number) => write(number, 3),
    read,
    onChange: (number) => number !== null && onChange(number * per),
  });
  return <NumberBox {...typed} size="small" label={LABELS[name] ?? name} unit={unit} />;
}
