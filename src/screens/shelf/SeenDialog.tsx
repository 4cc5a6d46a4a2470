// What became of pieces that were pressed so: worn, washed, lifted.

import { yupResolver } from '@hookform/resolvers/yup';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useForm, type Resolver } from 'react-hook-form';
import { lookInput } from '../../core/input/recipes-input';
import { FABRICS } from '../../core/materials';
import { LOOK_KINDS, type LookKind } from '../../core/pressing';
import type { RecipeRow } from '../../views/recipes';
import { LOOK_WORDS } from '../../wording/recipes';
import { Choice, FormActions, TextLine, useSave } from '../shared/form';
import { NumberField } from '../shared/number-fields';

type Values = {
  vinylId: number;
  fabric: string;
  kind: LookKind;
  pieces: number;
  washes: number;
  day: string;
  note: string;
};
type Props = {
  readonly row: RecipeRow;
  readonly today: string;
  readonly onClose: () => void;
  readonly onDone: () => void;
};

export default function SeenDialog({ row, today, onClose, onDone }: Props) {
  const { vinylId, fabric } = row;
  const form = useForm<Values>({
    resolver: yupResolver(lookInput) as unknown as Resolver<Values>,
    defaultValues: { vinylId, fabric, kind: 'washed', pieces: 1, washes: 1, day: today, note: '' },
  });
  const save = useSave<Values, unknown>({ form, method: 'POST', path: '/api/shelf/looks', onSaved: onDone });
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="seen-title">
      <DialogTitle id="seen-title">
        {row.vinylName} on {FABRICS[row.fabric].label}: what happened
      </DialogTitle>
      <form noValidate onSubmit={save.submit}>
        <DialogContent className="cols">
          <div className="fields pad-top-2">
            <Choice
              form={form}
              name="kind"
              label="What was seen"
              options={LOOK_KINDS.map((kind) => ({ value: kind, label: LOOK_WORDS[kind] }))}
            />
            <NumberField form={form} name="pieces" label="Pieces" digits={0} />
            <NumberField form={form} name="washes" label="Washes by then" digits={0} />
            <TextLine form={form} name="day" label="Seen on" type="date" />
          </div>
          <TextLine form={form} name="note" label="Note" />
        </DialogContent>
        <FormActions save={save} label="Write it down" onCancel={onClose} />
      </form>
    </Dialog>
  );
}
