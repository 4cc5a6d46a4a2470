// One recipe: a vinyl on a fabric, as the shop presses it.

import { yupResolver } from '@hookform/resolvers/yup';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useForm, type Resolver } from 'react-hook-form';
import { recipeChange } from '../../core/input/recipes-input';
import {
  FABRIC_NAMES,
  FABRICS,
  PEELS,
  PRESSURES,
  RECIPE_SOURCES,
  type Fabric,
  type OwnPress,
} from '../../core/materials';
import type { ChosenVinyl, RecipeRow } from '../../views/recipes';
import { describeMaker } from '../../wording/recipes';
import { Choice, FormActions, TextLine, useSave } from '../shared/form';
import { NumberField, TemperatureField } from '../shared/number-fields';
import { useLookFor } from '../shared/LookFor';
import { useSettings } from '../shared/settings';

type Values = { vinylId: number | ''; fabric: Fabric; own: Partial<OwnPress> | null };
type Props = {
  readonly vinyls: readonly ChosenVinyl[];
  /** ISO day. */
  readonly today: string;
  /** Null for a new one. */
  readonly row: RecipeRow | null;
  readonly onClose: () => void;
  readonly onDone: () => void;
};
const plain = (names: readonly string[]) => names.map((name) => ({ value: name, label: name }));

const startValues = (row: RecipeRow | null, today: string): Values => ({
  vinylId: row?.vinylId ?? '',
  fabric: row?.fabric ?? 'cotton',
  own: row?.own ?? {
    ...(row?.maker
      ? {
          temperatureC: Math.round((row.maker.lowC + row.maker.highC) / 2),
          seconds: row.maker.seconds,
          pressure: row.maker.pressure,
          peel: row.maker.peel,
        }
      : { pressure: 'medium', peel: 'warm' }),
    source: 'own trial',
    day: today,
    note: '',
  },
});

export default function RecipeDialog({ vinyls, today, row, onClose, onDone }: Props) {
  const settings = useSettings();
  const look = useLookFor('vinyl');
  const form = useForm<Values>({
    resolver: yupResolver(recipeChange) as unknown as Resolver<Values>,
    defaultValues: startValues(row, today),
  });
  const versionOf = (vinylId: unknown) => row?.version ?? vinyls.find(({ id }) => id === Number(vinylId))?.version;
  const save = useSave<Values, unknown>({
    form,
    method: 'PUT',
    path: '/api/shelf/recipes',
    toBody: (values) => ({ ...values, version: versionOf(values.vinylId) }),
    onSaved: onDone,
  });
  const asMaker = () => {
    form.setValue('own', null);
    save.send();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="recipe-title">
      <DialogTitle id="recipe-title">
        {row ? `${row.vinylName} on ${FABRICS[row.fabric].label}` : 'A recipe of your own'}
      </DialogTitle>
      <form noValidate onSubmit={save.submit}>
        <DialogContent className="cols">
          <div className="fields pad-top-2">
            {!row && (
              <>
                <Choice
                  form={form}
                  name="vinylId"
                  label="Vinyl"
                  options={vinyls.map(({ id, name }) => ({ value: id, label: name }))}
                  more={
                    look ? [{ label: 'Look for a vinyl…', run: () => look((id) => form.setValue('vinylId', id)) }] : []
                  }
                />
                <Choice
                  form={form}
                  name="fabric"
                  label="On"
                  options={FABRIC_NAMES.filter((name) => FABRICS[name].ceilingC !== null).map((name) => ({
                    value: name,
                    label: `${FABRICS[name].label}, to ${FABRICS[name].ceilingC} °C`,
                  }))}
                />
              </>
            )}
            <TemperatureField form={form} name="own.temperatureC" label="Temperature" />
            <NumberField form={form} name="own.seconds" label="Seconds" unit="s" />
            <Choice form={form} name="own.pressure" label="Pressure" options={plain(PRESSURES)} />
            <Choice form={form} name="own.peel" label="Peel" options={plain(PEELS)} />
            <Choice form={form} name="own.source" label="From" options={plain(RECIPE_SOURCES)} />
            <TextLine form={form} name="own.day" label="Since" type="date" />
          </div>
          <TextLine form={form} name="own.note" label="Note" />
          {row?.maker && <p className="soft flat">Its maker: {describeMaker(row.maker, settings)}.</p>}
        </DialogContent>
        <FormActions
          save={save}
          label="Save the recipe"
          onCancel={onClose}
          extra={
            row?.own && (
              <Button variant="text" onClick={asMaker}>
                As its maker says again
              </Button>
            )
          }
        />
      </form>
    </Dialog>
  );
}
