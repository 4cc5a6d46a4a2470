// One supply: what it is, and how long it ordinarily lasts.

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { getSupplyFacts, SUPPLY_KIND_NAMES, TACKS, type SupplyKind, type Tack, type WearUnit } from '../../core/stock';
import type { SupplyView } from '../../views/supplies';
import { toSent, useLengthUnit, useNumbers } from '../shared/use-numbers';
import { NumberText } from './SmallFields';
import { useSmallForm } from './use-form-state';
import type { SmallForm } from './use-form-state';
import { enqueueSnackbar } from '../shared/snackbar';

const shown = (value: number | null | undefined) => (value === null || value === undefined ? '' : String(value));
const WITH_WIDTH: readonly SupplyKind[] = ['transfer tape', 'heat tape', 'cover sheet', 'mat', 'pillow'];

/** A supply, as it is typed. */
type SupplyText = {
  name: string;
  kind: SupplyKind;
  supplier: string;
  width: string;
  tack: Tack | '';
  angle: string;
  life: string;
  note: string;
};

export default function SupplyDialog({
  supply,
  onClose,
  onDone,
  onArchive,
}: {
  supply: SupplyView | null;
  onClose: () => void;
  onDone: () => void;
  onArchive: (supply: SupplyView) => void;
}) {
  const numbers = useNumbers();
  const { unit, toMm, fromMm } = useLengthUnit();
  const form = useSmallForm<SupplyText>({
    name: supply?.name ?? '',
    kind: supply?.kind ?? 'mat',
    supplier: supply?.supplier ?? '',
    width: supply?.widthMm ? fromMm(supply.widthMm) : '',
    tack: supply?.tack ?? '',
    angle: shown(supply?.angleDegrees),
    life: shown(supply ? supply.life : getSupplyFacts('mat').life),
    note: supply?.note ?? '',
  });
  const { values, set } = form;
  const { wears } = getSupplyFacts(values.kind);
  const pick = (kind: SupplyKind) =>
    set({ kind, life: shown(getSupplyFacts(kind).life), angle: kind === 'blade' ? '45' : '' });
  const read = (text: string) => (text.trim() === '' ? null : numbers.send(text));
  const save = () =>
    form.send(
      supply ? 'PUT' : 'POST',
      supply ? `/api/shelf/supplies/${supply.id}` : '/api/shelf/supplies',
      {
        name: values.name,
        kind: values.kind,
        supplier: values.supplier,
        widthMm:
          values.width.trim() === '' || !WITH_WIDTH.includes(values.kind)
            ? null
            : toSent(toMm(values.width), values.width),
        tack: values.kind === 'transfer tape' ? values.tack || null : null,
        angleDegrees: values.kind === 'blade' ? read(values.angle) : null,
        life: wears ? read(values.life) : null,
        note: values.note,
        ...(supply ? { version: supply.version } : {}),
      },
      () => {
        enqueueSnackbar(supply ? 'Saved.' : `Added. ${wears ? 'Take one into use, and its wear is counted.' : ''}`);
        onDone();
      },
    );
  const line = (field: 'name' | 'supplier' | 'note', label: string, autoFocus = false) => (
    <TextField
      label={label}
      value={values[field]}
      onChange={(event) => set({ [field]: event.target.value })}
      error={Boolean(form.errorOf(field))}
      helperText={form.errorOf(field)}
      autoFocus={autoFocus}
      fullWidth
    />
  );
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="supply-title">
      <DialogTitle id="supply-title">{supply ? `Change ${supply.name}` : 'Add a supply'}</DialogTitle>
      <SupplyFields line={line} values={values} pick={pick} wears={wears} set={set} form={form} unit={unit} />
      <SupplyActions form={form} supply={supply} onArchive={onArchive} onClose={onClose} save={save} />
    </Dialog>
  );
}

type SupplyActionsProps = {
  readonly form: SmallForm<SupplyText>;
  readonly supply: SupplyView | null;
  readonly onArchive: (supply: SupplyView) => void;
  readonly onClose: () => void;
  readonly save: () => Promise<void>;
};

function SupplyActions({ form, supply, onArchive, onClose, save }: SupplyActionsProps) {
  return (
    <DialogActions sx={{ px: 3, pb: 2, flexWrap: 'wrap' }}>
      <div role="alert" className="short grow">
        {form.failure}
      </div>
      {supply && (
        <Button color="error" variant="text" onClick={() => onArchive(supply)}>
          Archive
        </Button>
      )}
      <Button onClick={onClose}>Cancel</Button>
      <Button variant="contained" disabled={form.pending} onClick={() => void save()}>
        {supply ? 'Save the supply' : 'Add the supply'}
      </Button>
    </DialogActions>
  );
}

type SupplyFieldsProps = {
  readonly line: (field: 'name' | 'supplier' | 'note', label: string, autoFocus?: boolean) => React.JSX.Element;
  readonly values: SupplyText;
  readonly pick: (kind: SupplyKind) => void;
  readonly wears: WearUnit | null;
  readonly set: (part: Partial<SupplyText>) => void;
  readonly form: SmallForm<SupplyText>;
  readonly unit: 'mm' | 'in';
};

function SupplyFields({ line, values, pick, wears, set, form, unit }: SupplyFieldsProps) {
  return (
    <DialogContent>
      <div className="cols pad-top-2">
        <div className="fields">
          {line('name', 'Name', true)}
          <TextField
            select
            label="Kind"
            value={values.kind}
            onChange={(event) => pick(event.target.value as SupplyKind)}
          >
            {SUPPLY_KIND_NAMES.map((kind) => (
              <MenuItem key={kind} value={kind}>
                {getSupplyFacts(kind).label}
              </MenuItem>
            ))}
          </TextField>
          {line('supplier', 'Supplier')}
        </div>
        <SupplyMeasures wears={wears} values={values} set={set} form={form} unit={unit} />
        {line('note', 'Note')}
      </div>
    </DialogContent>
  );
}

type SupplyMeasuresProps = {
  readonly wears: WearUnit | null;
  readonly values: SupplyText;
  readonly set: (part: Partial<SupplyText>) => void;
  readonly form: SmallForm<SupplyText>;
  readonly unit: 'mm' | 'in';
};

function SupplyMeasures({ wears, values, set, form, unit }: SupplyMeasuresProps) {
  return (
    <div className="fields">
      {wears && (
        <NumberText
          label="Ordinarily lasts"
          unit={wears}
          value={values.life}
          onChange={(life) => set({ life })}
          error={form.errorOf('life')}
        />
      )}
      {values.kind === 'blade' && (
        <NumberText
          label="Blade angle"
          unit="°"
          value={values.angle}
          onChange={(angle) => set({ angle })}
          error={form.errorOf('angleDegrees')}
        />
      )}
      {WITH_WIDTH.includes(values.kind) && (
        <NumberText
          label="Width"
          unit={unit}
          value={values.width}
          onChange={(width) => set({ width })}
          error={form.errorOf('widthMm')}
        />
      )}
      {values.kind === 'transfer tape' && (
        <TextField
          select
          label="Tack"
          value={values.tack}
          onChange={(event) => set({ tack: event.target.value as Tack | '' })}
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        >
          <MenuItem value="">not known</MenuItem>
          {TACKS.map((tack) => (
            <MenuItem key={tack} value={tack}>
              {tack}
            </MenuItem>
          ))}
        </TextField>
      )}
    </div>
  );
}
