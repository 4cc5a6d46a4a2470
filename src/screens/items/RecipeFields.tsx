// How the item is pressed where schools differ: each switch with what another choice would change, and the plan that
// comes of it.

import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useMemo } from 'react';
import { useWatch, type UseFormReturn } from 'react-hook-form';
import type { ItemSpec } from '../../core/costing';
import { getKindFacts } from '../../core/materials';
import { compareSchools, planPressing, SCHOOL_OPTIONS, type SchoolSwitch, toPressInput } from '../../core/pressing';
import { describeOption, describePressing, describeRisks } from '../../wording/press-recipe';
import { SWITCH_NAMES } from '../../wording/recipe-names';
import { describePressStep } from '../../wording/press-steps';
import { describeCaution } from '../../wording/problems';
import { Choice } from '../shared/form';
import { NumberField, TemperatureField } from '../shared/number-fields';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import type { ItemForm } from './item-form';

type Props = { readonly form: UseFormReturn<ItemForm>; readonly spec: ItemSpec | null };
const SWITCHES: readonly SchoolSwitch[] = ['layers', 'cover', 'peel', 'tool'];
/** Where somebody begins who presses hot and short. */
const FIRST_OWN_HEAT = { temperatureC: 185, seconds: 8 };

export default function RecipeFields({ form, spec }: Props) {
  const settings = useSettings();
  const ownHeat = useWatch({ control: form.control, name: 'details.recipe.ownHeat' });
  const { figures } = settings.shop;
  const input = useMemo(() => spec && toPressInput(spec, figures), [spec, figures]);
  const changes = useMemo(() => (input ? compareSchools(input) : null), [input]);
  const isPressed = spec?.layers.some(({ vinyl }) => getKindFacts(vinyl.kind).family === 'heat') ?? false;
  if (!isPressed) return <p className="soft flat">Nothing of it is pressed with heat, or it can’t be told yet.</p>;
  return (
    <>
      <div className="cols">
        {SWITCHES.map((key) => (
          <Choice
            key={key}
            form={form}
            name={`details.recipe.${key}`}
            label={SWITCH_NAMES[key]}
            options={listOptions(key, spec).map((option) => {
              const change = changes?.[key].find((one) => one.option === option);
              return { value: option, label: change ? describeOption(change, settings) : option };
            })}
            help={<Risks risks={describeRisks(changes?.[key] ?? [], settings)} />}
          />
        ))}
      </div>
      <FormControlLabel
        control={
          <Checkbox
            size="small"
            checked={ownHeat !== null}
            onChange={(_, checked) =>
              form.setValue('details.recipe.ownHeat', checked ? FIRST_OWN_HEAT : null, { shouldDirty: true })
            }
          />
        }
        label="Your own heat instead of the makers’"
      />
      {ownHeat && (
        <div className="fields split-1-1">
          <TemperatureField form={form} name="details.recipe.ownHeat.temperatureC" label="How hot" />
          <NumberField form={form} name="details.recipe.ownHeat.seconds" label="Each full press" unit="s" />
        </div>
      )}
      {input && <Plan input={input} />}
    </>
  );
}

/** A decal film is of no use on fabric. */
const listOptions = (key: SchoolSwitch, spec: ItemSpec | null): readonly string[] =>
  SCHOOL_OPTIONS[key].filter((option) => option !== 'on a decal film' || spec?.blank.heating !== 'flat');

function Risks({ risks }: { readonly risks: ReturnType<typeof describeRisks> }) {
  if (risks.length === 0) return null;
  return (
    <>
      {risks.map(({ option, risks: own }) => (
        <span key={option} className="block">
          {option}: {own.join(' ')}
        </span>
      ))}
    </>
  );
}

/** The steps as they will stand at the press, and how long each layer is under heat. */
function Plan({ input }: { readonly input: Parameters<typeof planPressing>[0] }) {
  const settings = useSettings();
  const plan = useMemo(() => planPressing(input), [input]);
  if (!plan.ok) return null;
  const { steps, heat, cautions, handsSeconds } = plan.value;
  return (
    <>
      <p className="flat">
        {describePressing(plan.value, settings)} Of your hands: <Why figure={handsSeconds} />
      </p>
      <ol className="steps">
        {steps.map((step, at) => (
          <li key={at}>
            {describePressStep(step, settings).what}
            <small>{describePressStep(step, settings).facts.join(' · ')}</small>
          </li>
        ))}
      </ol>
      <p className="soft flat">
        Under heat in all:{' '}
        {heat.map(({ vinylName, seconds, limitSeconds }) => `${vinylName} ${seconds} of ${limitSeconds} s`).join(', ')}
      </p>
      {cautions.map((caution) => (
        <div key={JSON.stringify(caution)} className="notice">
          {describeCaution(caution, settings)}
        </div>
      ))}
    </>
  );
}
