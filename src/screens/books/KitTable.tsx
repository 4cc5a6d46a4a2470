// The options of a kit: which are taken, what each costs, and what it brings.

import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { KIT_CLASSES, KIT_NEEDS, type KitNeed, type KitOption, type StartPlan } from '../../core/planning';
import { minor } from '../../core/units';
import { MoneyInput } from '../shared/MoneyInput';
import { NumberHead } from '../shared/NumberHead';
import { NumberInput } from '../shared/NumberInput';

type Props = {
  readonly plan: StartPlan;
  readonly chosen: readonly number[];
  readonly onChange: (part: Partial<StartPlan>) => void;
};
const CLASS_NAMES: Readonly<Record<KitOption['grade'], string>> = { 1: 'for a try', 2: 'small shop', 3: 'every day' };

export function KitTable({ plan, chosen, onChange }: Props) {
  const change = (at: number, part: Partial<KitOption>) =>
    onChange({ options: plan.options.map((option, index) => (index === at ? { ...option, ...part } : option)) });
  const remove = (at: number) =>
    onChange({
      options: plan.options.filter((_, index) => index !== at),
      chosen:
        plan.chosen && plan.chosen.filter((index) => index !== at).map((index) => (index > at ? index - 1 : index)),
    });
  return (
    <section className="sheet flush" aria-label="Kit" tabIndex={0}>
      <table className="plain kit">
        <thead>
          <tr>
            <th scope="col">take</th>
            <th scope="col">what</th>
            <th scope="col">class</th>
            <th scope="col">used</th>
            <th scope="col">brings</th>
            <NumberHead>price</NumberHead>
            <th scope="col" />
          </tr>
        </thead>
        <tbody>
          {plan.options.map((option, at) => (
            <KitRow
              key={at}
              at={at}
              chosen={chosen}
              onChange={onChange}
              option={option}
              change={change}
              remove={remove}
            />
          ))}
        </tbody>
      </table>
      <div className="pad-top-3 pad-right-4 pad-bottom-4 pad-left-4">
        <Button
          size="small"
          onClick={() =>
            onChange({
              options: [
                ...plan.options,
                { name: 'Something else', price: minor(0), used: false, grade: 2, covers: ['tools'] },
              ],
            })
          }
        >
          Add an option
        </Button>
      </div>
    </section>
  );
}

type KitRowProps = {
  readonly at: number;
  readonly chosen: readonly number[];
  readonly onChange: (part: Partial<StartPlan>) => void;
  readonly option: KitOption;
  readonly change: (at: number, part: Partial<KitOption>) => void;
  readonly remove: (at: number) => void;
};

function KitRow({ at, chosen, onChange, option, change, remove }: KitRowProps) {
  return (
    <tr className={chosen.includes(at) ? 'own' : ''}>
      <td>
        <Checkbox
          size="small"
          checked={chosen.includes(at)}
          onChange={(_, on) => onChange({ chosen: on ? [...chosen, at] : chosen.filter((index) => index !== at) })}
          slotProps={{ input: { 'aria-label': `Take ${option.name}${option.used ? ', used' : ''}` } }}
        />
      </td>
      <td>
        <TextField
          variant="standard"
          fullWidth
          value={option.name}
          onChange={(event) => change(at, { name: event.target.value })}
          slotProps={{ htmlInput: { 'aria-label': `Name of option ${at + 1}` } }}
        />
      </td>
      <td>
        <TextField
          select
          variant="standard"
          value={option.grade}
          onChange={(event) => change(at, { grade: Number(event.target.value) as KitOption['grade'] })}
          slotProps={{ htmlInput: { 'aria-label': `Class of ${option.name}` } }}
        >
          {KIT_CLASSES.map((grade) => (
            <MenuItem key={grade} value={grade}>
              {CLASS_NAMES[grade]}
            </MenuItem>
          ))}
        </TextField>
      </td>
      <td>
        <Checkbox
          size="small"
          checked={option.used}
          onChange={(_, used) => change(at, { used })}
          slotProps={{ input: { 'aria-label': `${option.name} is used` } }}
        />
      </td>
      <BringsCell at={at} option={option} change={change} />
      <td>
        <MoneyInput
          label={`Price of ${option.name}`}
          value={option.price}
          onChange={(price) => change(at, { price: minor(price) })}
        />
      </td>
      <td>
        <Button
          size="small"
          variant="text"
          aria-label={`Remove ${option.name}${option.used ? ', used' : ''}`}
          onClick={() => remove(at)}
        >
          ×
        </Button>
      </td>
    </tr>
  );
}

function BringsCell({ at, option, change }: Pick<KitRowProps, 'at' | 'option' | 'change'>) {
  return (
    <td>
      <TextField
        select
        variant="standard"
        fullWidth
        value={[...option.covers]}
        onChange={(event) => {
          const covers = event.target.value as unknown as KitNeed[];
          if (covers.length > 0) change(at, { covers });
        }}
        slotProps={{ select: { multiple: true }, htmlInput: { 'aria-label': `What ${option.name} brings` } }}
      >
        {KIT_NEEDS.map((need) => (
          <MenuItem key={need} value={need}>
            {need}
          </MenuItem>
        ))}
      </TextField>
      {option.covers.includes('cutter') && (
        <label className="kit-width soft text-small">
          cuts{' '}
          <NumberInput
            label={`Width that ${option.name} cuts`}
            value={option.widthMm ?? 0}
            least={0}
            onChange={(widthMm) => change(at, { widthMm: widthMm > 0 ? widthMm : null })}
          />{' '}
          mm
        </label>
      )}
    </td>
  );
}
