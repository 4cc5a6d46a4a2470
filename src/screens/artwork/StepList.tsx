// The list of preparation steps: switched on and off, taken away, and added to. The original stays as it is.

import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { STEP_DEFAULTS, type PrepStep, type StepAction } from '../../core/artwork';
import type { PreparedFile } from '../../views/artwork';
import { describeStep } from '../../wording/findings';
import { useSettings } from '../shared/settings';
import { StepFields } from './StepFields';

type Props = {
  readonly steps: readonly PrepStep[];
  readonly prepared: PreparedFile | null;
  readonly nameOf: (layer: string) => string;
  readonly onChange: (steps: readonly PrepStep[]) => void;
  readonly onUndo: (() => void) | null;
};

export function StepList({ steps, prepared, nameOf, onChange, onUndo }: Props) {
  const settings = useSettings();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [open, setOpen] = useState<number | null>(null);
  const replace = (index: number, step: PrepStep) => onChange(steps.map((other, at) => (at === index ? step : other)));
  const add = (step: StepAction) => {
    setAnchor(null);
    setOpen(steps.length);
    onChange([...steps, { ...step, on: true }]);
  };
  return (
    <section className="sheet" aria-label="Steps">
      <div className="row apart middle gap-3">
        <h2 className="flat">Steps to the knife</h2>
        <div className="actions">
          {onUndo && (
            <Button size="small" variant="text" onClick={onUndo}>
              Undo
            </Button>
          )}
          <Button
            size="small"
            aria-haspopup="menu"
            disabled={!prepared}
            onClick={(event) => setAnchor(event.currentTarget)}
          >
            Add a step
          </Button>
        </div>
      </div>
      {steps.length === 0 && <p className="soft flat above-2">None yet. The drawing is cut as it is.</p>}
      <ol className="step-list">
        {steps.map((step, index) => {
          const words = describeStep(step, nameOf, settings);
          return (
            <StepRow
              key={index}
              index={index}
              step={step}
              replace={replace}
              words={words}
              open={open}
              setOpen={setOpen}
              onChange={onChange}
              steps={steps}
            />
          );
        })}
      </ol>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {prepared &&
          offerSteps(prepared).map((step) => (
            <MenuItem key={JSON.stringify(step)} dense onClick={() => add(step)}>
              {describeStep(step, nameOf, settings)}
            </MenuItem>
          ))}
      </Menu>
    </section>
  );
}

type StepRowProps = {
  readonly index: number;
  readonly step: PrepStep;
  readonly replace: (index: number, step: PrepStep) => void;
  readonly words: string;
  readonly open: number | null;
  readonly setOpen: React.Dispatch<React.SetStateAction<number | null>>;
  readonly onChange: (steps: readonly PrepStep[]) => void;
  readonly steps: readonly PrepStep[];
};

function StepRow({ index, step, replace, words, open, setOpen, onChange, steps }: StepRowProps) {
  return (
    <li className={step.on ? undefined : 'off'}>
      <div>
        <Checkbox
          size="small"
          checked={step.on}
          onChange={(_, on) => replace(index, { ...step, on })}
          slotProps={{ input: { 'aria-label': `${words}, on` } }}
        />
        <button
          type="button"
          className="quiet step-name"
          aria-expanded={open === index}
          onClick={() => setOpen(open === index ? null : index)}
        >
          {words}
        </button>
        <Button
          size="small"
          variant="text"
          aria-label={`Remove: ${words}`}
          onClick={() => {
            setOpen(null);
            onChange(steps.filter((_, at) => at !== index));
          }}
        >
          Remove
        </Button>
      </div>
      {open === index && <StepFields step={step} onChange={(next) => replace(index, { ...next, on: step.on })} />}
    </li>
  );
}

/** What makes sense for this drawing. */
function offerSteps({ measurement, dots }: PreparedFile): readonly StepAction[] {
  const { layers } = measurement;
  const d = STEP_DEFAULTS;
  return [
    { kind: 'rotate', degrees: 90 },
    ...(measurement.strokesApart > 0 ? [{ kind: 'outline-strokes' } as const] : []),
    { kind: 'unite' },
    { kind: 'remove-specks', underMm2: d.speckMm2 },
    ...layers.flatMap(({ key }): StepAction[] => [
      { kind: 'offset', layer: key, byMm: d.outlineMm, copy: true },
      { kind: 'offset', layer: key, byMm: -0.5, copy: false },
      { kind: 'negative', layer: key, marginMm: d.weedMarginMm },
      { kind: 'weed-boxes', layer: key, marginMm: d.weedMarginMm, joinMm: d.joinMm },
      { kind: 'loose', layer: key },
      ...(layers.length > 1 ? [{ kind: 'leave-out', layer: key } as const] : []),
      ...(dots[key] ?? [])
        .filter((group) => group.count >= 6)
        .slice(0, 3)
        .map((group): StepAction => ({
          kind: 'stone-template',
          layer: key,
          diameterMm: group.diameterMm,
          playMm: d.stonePlayMm,
          marginMm: d.templateMarginMm,
        })),
    ]),
    ...measurement.overlaps.map(({ lower, upper }): StepAction => ({
      kind: 'knock-out',
      lower,
      upper,
      overlapMm: d.overlapMm,
    })),
    ...(layers.length > 1 ? [{ kind: 'registration', sizeMm: d.markMm, gapMm: d.markGapMm } as const] : []),
    ...layers.slice(1).map((layer): StepAction => ({ kind: 'merge', layer: layer.key, into: layers[0]!.key })),
  ];
}
