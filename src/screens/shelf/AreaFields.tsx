// Where on a blank something can be put: each area with its size, what it is measured from, and what lies in the way;
// drawn to scale.

import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useFieldArray, useWatch, type UseFormReturn } from 'react-hook-form';
import { computeWrap, DATUMS, OBSTACLE_KINDS, type PrintArea } from '../../core/materials';
import { formatLength } from '../../core/units';
import { Choice, TextLine } from '../shared/form';
import { LengthField } from '../shared/number-fields';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import type { BlankValues } from '../shared/blank-values';
import type { UseFieldArrayReturn } from 'react-hook-form';

type Props = { readonly form: UseFormReturn<BlankValues> };
const options = (names: readonly string[]) => names.map((name) => ({ value: name, label: name }));
const START: PrintArea = {
  name: 'front',
  sizeName: '',
  datum: 'neckline',
  dropMm: 75,
  widthMm: 280,
  heightMm: 330,
  obstacles: [],
  curve: null,
};

export function AreaFields({ form }: Props) {
  const areas = useFieldArray({ control: form.control, name: 'areas' });
  return (
    <fieldset className="group">
      <legend>Where something can be put</legend>
      {areas.fields.length === 0 && (
        <p className="soft flat below-3">
          With its print areas known, items say when a drawing is too wide for a size, or lies on a zip.
        </p>
      )}
      {areas.fields.map((field, index) => (
        <OneArea key={field.id} form={form} index={index} onRemove={() => areas.remove(index)} />
      ))}
      <div>
        <Button
          size="small"
          onClick={() =>
            areas.append(
              areas.fields.length === 0
                ? START
                : { ...form.getValues(`areas.${areas.fields.length - 1}`), name: '', obstacles: [] },
            )
          }
        >
          Add a print area
        </Button>
      </div>
    </fieldset>
  );
}

function OneArea({ form, index, onRemove }: Props & { index: number; onRemove: () => void }) {
  const [area, sizes] = useWatch({ control: form.control, name: [`areas.${index}`, 'sizes'] });
  const obstacles = useFieldArray({ control: form.control, name: `areas.${index}.obstacles` });
  const whole = (value: unknown): value is number => typeof value === 'number' && Number.isFinite(value) && value > 0;
  const wrap =
    area.curve && whole(area.curve.topMm) && whole(area.curve.bottomMm) && whole(area.heightMm)
      ? computeWrap(area.curve, area.heightMm)
      : null;
  return (
    <div className="area">
      <div className="cols gap-4">
        <div className="fields">
          <TextLine form={form} name={`areas.${index}.name`} label="Area" />
          <Choice
            form={form}
            name={`areas.${index}.sizeName`}
            label="Of size"
            options={[
              { value: '', label: 'all sizes' },
              ...sizes.filter((size) => size.name !== '').map((size) => ({ value: size.name, label: size.name })),
            ]}
          />
          <Choice form={form} name={`areas.${index}.datum`} label="Measured from" options={options(DATUMS)} />
          <LengthField form={form} name={`areas.${index}.dropMm`} label="Down from there" />
          <LengthField form={form} name={`areas.${index}.widthMm`} label="Area width" />
          <LengthField form={form} name={`areas.${index}.heightMm`} label="Area height" />
        </div>
        {obstacles.fields.map((field, at) => (
          <ObstacleFields key={field.id} form={form} index={index} at={at} obstacles={obstacles} />
        ))}
        {area.curve && (
          <div className="fields">
            <LengthField form={form} name={`areas.${index}.curve.topMm`} label="Diameter at top" />
            <LengthField form={form} name={`areas.${index}.curve.bottomMm`} label="Diameter at bottom" />
            <LengthField form={form} name={`areas.${index}.curve.handleGapMm`} label="Handle takes" />
          </div>
        )}
        {wrap && (
          <p className="soft flat">
            {wrap.round.label} <Why figure={wrap.round} />.{' '}
            {wrap.radius ? (
              <>
                The wall tapers: bend a straight strip on {wrap.radius.label.toLowerCase()} <Why figure={wrap.radius} />
                , over {Math.round(wrap.angleDegrees)}°.
              </>
            ) : (
              'The wall is straight: a straight strip lies straight.'
            )}
          </p>
        )}
        <AreaActions obstacles={obstacles} area={area} form={form} index={index} onRemove={onRemove} />
      </div>
      {whole(area.widthMm) && whole(area.heightMm) && <AreaDrawing area={area} />}
    </div>
  );
}

type ObstacleFieldsProps = {
  readonly form: UseFormReturn<BlankValues>;
  readonly index: number;
  readonly at: number;
  readonly obstacles: UseFieldArrayReturn<BlankValues, `areas.${number}.obstacles`, 'id'>;
};

function ObstacleFields({ form, index, at, obstacles }: ObstacleFieldsProps) {
  return (
    <div className="fields six">
      <Choice
        form={form}
        name={`areas.${index}.obstacles.${at}.kind`}
        label="In the way"
        options={options(OBSTACLE_KINDS)}
      />
      <LengthField form={form} name={`areas.${index}.obstacles.${at}.xMm`} label="From left" />
      <LengthField form={form} name={`areas.${index}.obstacles.${at}.yMm`} label="From top" />
      <LengthField form={form} name={`areas.${index}.obstacles.${at}.widthMm`} label="Width" />
      <LengthField form={form} name={`areas.${index}.obstacles.${at}.heightMm`} label="Height" />
      <Button
        onClick={() => obstacles.remove(at)}
        aria-label={`Remove the ${obstacles.fields[at]?.kind ?? 'obstacle'}`}
      >
        ×
      </Button>
    </div>
  );
}

/** The area with its datum line, its middle and what lies in the way. */
function AreaDrawing({
  area,
  piece,
}: {
  area: PrintArea;
  piece?: { readonly widthMm: number; readonly heightMm: number };
}) {
  const settings = useSettings();
  const drop = Number.isFinite(area.dropMm) ? Math.max(0, area.dropMm) : 0;
  const margin = Math.max(area.widthMm, area.heightMm + drop) * 0.06;
  const obstacles = area.obstacles.filter((obstacle) =>
    [obstacle.xMm, obstacle.yMm, obstacle.widthMm, obstacle.heightMm].every((value) => typeof value === 'number'),
  );
  return (
    <figure className="area-drawing">
      <svg
        viewBox={`${-margin} ${-drop - margin} ${area.widthMm + 2 * margin} ${area.heightMm + drop + 2 * margin}`}
        role="img"
        aria-label={`${area.name}, ${formatLength(area.widthMm, settings)} × ${formatLength(area.heightMm, settings)}, ${formatLength(drop, settings)} below the ${area.datum}`}
      >
        <line x1={-margin} x2={area.widthMm + margin} y1={-drop} y2={-drop} className="datum" />
        <rect width={area.widthMm} height={area.heightMm} className="bounds" />
        <line x1={area.widthMm / 2} x2={area.widthMm / 2} y1={-drop} y2={area.heightMm} className="middle" />
        {obstacles.map((obstacle, at) => (
          <rect
            key={at}
            x={obstacle.xMm}
            y={obstacle.yMm}
            width={obstacle.widthMm}
            height={obstacle.heightMm}
            className="obstacle"
          >
            <title>{obstacle.kind}</title>
          </rect>
        ))}
        {piece && (
          <rect
            x={(area.widthMm - piece.widthMm) / 2}
            y={(area.heightMm - piece.heightMm) / 2}
            width={piece.widthMm}
            height={piece.heightMm}
            className="piece"
          />
        )}
      </svg>
      <figcaption className="soft">
        {formatLength(drop, settings)} below the {area.datum}
        {obstacles.length > 0 &&
          `; mind the ${[...new Set(obstacles.map((obstacle) => obstacle.kind))].join(' and the ')}`}
      </figcaption>
    </figure>
  );
}

type AreaActionsProps = {
  readonly obstacles: UseFieldArrayReturn<BlankValues, `areas.${number}.obstacles`, 'id'>;
  readonly area: PrintArea;
  readonly form: UseFormReturn<BlankValues>;
  readonly index: number;
  readonly onRemove: () => void;
};

function AreaActions({ obstacles, area, form, index, onRemove }: AreaActionsProps) {
  return (
    <div className="actions middle">
      <Button
        size="small"
        onClick={() => obstacles.append({ kind: 'seam', xMm: 0, yMm: 0, widthMm: 20, heightMm: 100 })}
      >
        Add what is in the way
      </Button>
      <FormControlLabel
        control={
          <Checkbox
            size="small"
            checked={area.curve !== null}
            onChange={(_, on) =>
              form.setValue(`areas.${index}.curve`, on ? { topMm: 80, bottomMm: 80, handleGapMm: 0 } : null, {
                shouldDirty: true,
              })
            }
          />
        }
        label="round wall"
      />
      <Button size="small" variant="text" onClick={onRemove} aria-label={`Remove the area ${area.name}`}>
        Remove this area
      </Button>
    </div>
  );
}
