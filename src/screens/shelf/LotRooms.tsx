// The rooms of a lot's dialog: booking, counting, setting an offcut aside.

import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { BOOKED_CAUSES } from '../../core/input';
import { formatPath } from '../../core/units';
import { CAUSE_WORDS } from '../../wording/stock';
import { useSettings } from '../shared/settings';
import { readLengthBy, type LotRoomProps } from './lot-form';
import { useLengthUnit, useNumbers } from '../shared/use-numbers';
import { NumberText } from './SmallFields';

export function BookRoom({ lot, form }: LotRoomProps) {
  const { unit } = useLengthUnit();
  const roll = lot.form === 'roll';
  const { values, set } = form;
  return (
    <div className="fields">
      <TextField select label="Cause" value={values.cause} onChange={(event) => set({ cause: event.target.value })}>
        {BOOKED_CAUSES.map((cause) => (
          <MenuItem key={cause} value={cause}>
            {CAUSE_WORDS[cause]}
          </MenuItem>
        ))}
      </TextField>
      <NumberText
        label={roll ? 'Length' : 'Pieces'}
        value={values.quantity}
        onChange={(quantity) => set({ quantity })}
        error={form.errorOf('quantity')}
        {...(roll ? { unit } : {})}
        autoFocus
      />
    </div>
  );
}

export function CountRoom({ lot, form }: LotRoomProps) {
  const settings = useSettings();
  const { unit, toMm } = useLengthUnit();
  const { read } = useNumbers();
  const roll = lot.form === 'roll';
  const { values, set } = form;
  const byFigure = readLengthBy(values, lot, { toMm, read });
  return (
    <>
      {roll && (
        <TextField select label="Counted by" value={values.by} onChange={(event) => set({ by: event.target.value })}>
          <MenuItem value="ruler">ruler: the length itself</MenuItem>
          <MenuItem value="weight">weight of the roll</MenuItem>
          <MenuItem value="diameter">diameter of the roll</MenuItem>
        </TextField>
      )}
      {values.by === 'ruler' && (
        <NumberText
          label={roll ? 'Length left' : 'Pieces there'}
          value={values.counted}
          onChange={(next) => set({ counted: next })}
          error={form.errorOf('counted')}
          {...(roll ? { unit } : {})}
          autoFocus
        />
      )}
      {(roll || lot.form === 'sheet') && (
        <NumberText
          label="True width"
          unit={unit}
          value={values.trueWidth}
          onChange={(trueWidth) => set({ trueWidth })}
          error={form.errorOf('widthMm')}
        />
      )}
      {values.by === 'weight' && <ByWeight values={values} set={set} />}
      {values.by === 'diameter' && <ByDiameter unit={unit} values={values} set={set} />}
      {byFigure && (
        <p aria-live="polite" className="flat">
          {byFigure.ok ? (
            <>
              That is <strong className="figures">{formatPath(byFigure.value.value, settings)}</strong>:{' '}
              {byFigure.value.how}.
            </>
          ) : (
            'Fill in all three; the whole has to be more than its core.'
          )}
        </p>
      )}
    </>
  );
}

type ByWeightProps = Pick<LotRoomProps['form'], 'values' | 'set'>;

function ByWeight({ values, set }: ByWeightProps) {
  return (
    <div className="fields">
      <NumberText label="Roll with core" unit="g" value={values.grams} onChange={(grams) => set({ grams })} />
      <NumberText label="Core alone" unit="g" value={values.coreGrams} onChange={(coreGrams) => set({ coreGrams })} />
      <NumberText
        label="Vinyl with backing"
        unit="g/m²"
        value={values.gramsPerM2}
        onChange={(gramsPerM2) => set({ gramsPerM2 })}
      />
    </div>
  );
}

type ByDiameterProps = ByWeightProps & { readonly unit: 'mm' | 'in' };

function ByDiameter({ unit, values, set }: ByDiameterProps) {
  return (
    <div className="fields">
      <NumberText label="Diameter" unit={unit} value={values.diameter} onChange={(diameter) => set({ diameter })} />
      <NumberText
        label="Core"
        unit={unit}
        value={values.coreDiameter}
        onChange={(coreDiameter) => set({ coreDiameter })}
      />
      <NumberText
        label="Thickness"
        unit={unit}
        value={values.thickness}
        onChange={(thickness) => set({ thickness })}
        help="with its backing"
      />
    </div>
  );
}

export function OffcutRoom({ form }: LotRoomProps) {
  const { unit } = useLengthUnit();
  const { values, set } = form;
  return (
    <>
      <div className="fields">
        <NumberText
          label="Width"
          unit={unit}
          value={values.width}
          onChange={(width) => set({ width })}
          error={form.errorOf('widthMm')}
        />
        <NumberText
          label="Length"
          unit={unit}
          value={values.length}
          onChange={(length) =>
            set({
              length,
              takes: values.takes === '' || values.takes === values.length ? length : values.takes,
            })
          }
          error={form.errorOf('lengthMm')}
          autoFocus
        />
      </div>
      <div className="fields wide">
        <NumberText
          label="Missing corner, width"
          unit={unit}
          value={values.cornerWidth}
          onChange={(cornerWidth) => set({ cornerWidth })}
        />
        <NumberText
          label="Missing corner, length"
          unit={unit}
          value={values.cornerLength}
          onChange={(cornerLength) => set({ cornerLength })}
        />
        <NumberText
          label="Taken off the roll"
          unit={unit}
          value={values.takes}
          onChange={(takes) => set({ takes })}
          help="0 where a job has booked it"
          error={form.errorOf('quantity')}
        />
      </div>
    </>
  );
}
