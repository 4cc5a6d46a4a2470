// One vinyl: its roll, its price, how it cuts and weeds, how it is pressed on what, and what it is good for.

import { yupResolver } from '@hookform/resolvers/yup';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useForm, useWatch, type Resolver } from 'react-hook-form';
import { vinylInput } from '../../core/input';
import {
  decideHandedness,
  getKindFacts,
  getOrdinaryDetails,
  VINYL_KIND_NAMES,
  type VinylKind,
} from '../../core/materials';
import type { VinylView } from '../../views/shelf';
import { describeHandedness } from '../../wording/stations';
import { Choice, FormActions, TextLine, useSave } from '../shared/form';
import { LengthField, MoneyField, NumberField } from '../shared/number-fields';
import { CutFields, PressFields, UseFields } from './VinylDetailFields';
import { START_VINYL, type VinylValues } from '../shared/vinyl-values';
import type { KindFacts } from '../../core/materials';
import type { UseFormReturn } from 'react-hook-form';

export default function VinylForm({
  vinyl,
  onClose,
  onSaved,
  onArchive,
}: {
  vinyl: VinylView | null;
  onClose: () => void;
  onSaved: () => void;
  onArchive: (vinyl: VinylView) => void;
}) {
  const form = useForm<VinylValues>({
    resolver: yupResolver(vinylInput) as unknown as Resolver<VinylValues>,
    defaultValues: vinyl ?? START_VINYL,
  });
  const [kind, carrier] = useWatch({ control: form.control, name: ['kind', 'details.carrier'] });
  const facts = getKindFacts(kind);
  const save = useSave({
    form,
    method: vinyl ? 'PUT' : 'POST',
    path: vinyl ? `/api/shelf/vinyls/${vinyl.id}` : '/api/shelf/vinyls',
    version: vinyl?.version,
    onSaved,
  });
  const pickKind = (next: string) => {
    const nextFacts = getKindFacts(next as VinylKind);
    // A kind of the same family keeps what was typed from the maker's sheet.
    if ((nextFacts.press === null) !== (form.getValues('press') === null) || !vinyl)
      form.setValue('press', nextFacts.press);
    // What is ordinary goes with the kind; what was written down of this vinyl stays.
    const { washNote, sheetText, sheetLink, thicknessUm, strokeMm, gapMm, grade, gradeNote } =
      form.getValues('details');
    form.setValue('details', {
      ...getOrdinaryDetails(next as VinylKind),
      ...(vinyl ? { washNote, grade, gradeNote } : {}),
      sheetText,
      sheetLink,
      thicknessUm,
      strokeMm,
      gapMm,
    });
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="vinyl-title">
      <DialogTitle id="vinyl-title">{vinyl ? `Change ${vinyl.name}` : 'Add a vinyl'}</DialogTitle>
      <form noValidate onSubmit={save.submit}>
        <VinylFields form={form} kind={kind} carrier={carrier} pickKind={pickKind} facts={facts} />
        <FormActions
          save={save}
          label={vinyl ? 'Save the vinyl' : 'Add to the shelf'}
          onCancel={onClose}
          extra={
            vinyl && (
              <Button color="error" variant="text" onClick={() => onArchive(vinyl)}>
                Archive
              </Button>
            )
          }
        />
      </form>
    </Dialog>
  );
}

type VinylFieldsProps = {
  readonly form: UseFormReturn<VinylValues>;
  readonly kind:
    | 'smooth'
    | 'stretch'
    | 'low-heat'
    | 'glitter'
    | 'holographic'
    | 'flock'
    | 'puff'
    | 'reflective'
    | 'printed-pattern'
    | 'permanent'
    | 'removable'
    | 'stencil';
  readonly carrier: 'face' | 'back';
  readonly pickKind: (next: string) => void;
  readonly facts: KindFacts;
};

function VinylFields({ form, kind, carrier, pickKind, facts }: VinylFieldsProps) {
  return (
    <DialogContent className="cols">
      <div className="fields pad-top-2">
        <TextLine form={form} name="name" label="Name" autoFocus />
        <Choice
          form={form}
          name="kind"
          label="Kind"
          options={VINYL_KIND_NAMES.map((name) => ({ value: name, label: getKindFacts(name).label }))}
          help={describeHandedness(
            decideHandedness({ kind, details: { ...getOrdinaryDetails(kind), carrier } }, { seenThrough: false }),
          )}
          onPicked={pickKind}
        />
        <TextLine form={form} name="supplier" label="Supplier" />
        <TextLine form={form} name="colourName" label="Colour" />
        <TextLine form={form} name="colourHex" label="Swatch" type="color" />
      </div>
      <div className="fields">
        <LengthField form={form} name="rollWidthMm" label="Roll width" />
        <LengthField form={form} name="rollLengthMm" label="Roll length" />
        <MoneyField form={form} name="rollPrice" label="Roll price" />
        <NumberField
          form={form}
          name="weedingFactor"
          label="Weeding factor"
          help="1 is smooth and good; thin budget vinyl 1.3 to 2.5"
        />
      </div>
      <CutFields form={form} />
      {facts.family === 'heat' ? (
        <PressFields form={form} />
      ) : (
        <p className="soft flat">Adhesive vinyl is not pressed: it is lifted with transfer tape and burnished on.</p>
      )}
      <UseFields form={form} />
    </DialogContent>
  );
}
