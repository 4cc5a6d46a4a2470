// Form fields bound to react-hook-form, and saving: what is typed stays, and an error stands at its field.

import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import DialogActions from '@mui/material/DialogActions';
import FormControlLabel from '@mui/material/FormControlLabel';
import InputAdornment from '@mui/material/InputAdornment';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useId, useState, type FormEvent, type ReactNode } from 'react';
import { Controller, type FieldPath, type FieldValues, type UseFormReturn } from 'react-hook-form';
import { ApiError } from './api';
import { MORE } from './more-choices';
import { useSendOnce } from './use-send-once';
import { Swatch } from './Swatch';

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- the transformed values differ by schema
type Form<T extends FieldValues> = UseFormReturn<T, any, any>;
export type FieldProps<T extends FieldValues> = {
  readonly form: Form<T>;
  readonly name: FieldPath<T>;
  readonly label: string;
  readonly autoFocus?: boolean;
  readonly help?: ReactNode;
  readonly unit?: string;
};

export function TextLine<T extends FieldValues>({
  form,
  name,
  label,
  help,
  unit,
  type,
  multiline,
  autoFocus,
  list,
}: FieldProps<T> & { type?: string; multiline?: boolean; list?: readonly string[] }) {
  // Unlike any other's: a dialog may have a field of the same name as the page behind it.
  const id = useId();
  return (
    <Controller
      control={form.control}
      name={name}
      // The ref belongs to the input alone: only that takes the focus.
      render={({ field: { ref, ...field }, fieldState }) => (
        <>
          <TextField
            {...field}
            id={id}
            value={field.value ?? ''}
            inputRef={ref}
            label={label}
            type={type ?? 'text'}
            multiline={multiline}
            // As high as its text already in what the server draws.
            minRows={multiline ? Math.max(2, countLines(field.value)) : undefined}
            autoFocus={autoFocus}
            error={Boolean(fieldState.error)}
            helperText={fieldState.error?.message ?? help}
            slotProps={{
              inputLabel: type === 'date' || type === 'color' ? { shrink: true } : {},
              htmlInput: list ? { list: `${id}-list` } : {},
              input: unit ? { endAdornment: <InputAdornment position="end">{unit}</InputAdornment> } : {},
            }}
            fullWidth
          />
          {list && (
            <datalist id={`${id}-list`}>
              {list.map((entry) => (
                <option key={entry} value={entry} />
              ))}
            </datalist>
          )}
        </>
      )}
    />
  );
}

const countLines = (text: unknown): number => String(text ?? '').split('\n').length;

export type MoreChoice = { readonly label: string; readonly run: () => void };

export function Choice<T extends FieldValues>({
  form,
  name,
  label,
  options,
  help,
  onPicked,
  more = [],
}: FieldProps<T> & {
  options: readonly { value: string | number; label: string; swatch?: string }[];
  onPicked?: (value: string) => void;
  /** At the end of the list: what is missing is looked for, or made in place. */
  more?: readonly MoreChoice[] | undefined;
}) {
  return (
    <Controller
      control={form.control}
      name={name}
      render={({ field: { ref, ...field }, fieldState }) => (
        <TextField
          {...field}
          value={options.some((option) => option.value === field.value) ? field.value : ''}
          inputRef={ref}
          select
          label={label}
          error={Boolean(fieldState.error)}
          helperText={fieldState.error?.message ?? help}
          fullWidth
          slotProps={
            options.some((option) => option.value === '')
              ? { select: { displayEmpty: true }, inputLabel: { shrink: true } }
              : {}
          }
          onChange={(event) => {
            const chosen = more.find((_, at) => event.target.value === `${MORE}${at}`);
            if (chosen) return chosen.run();
            field.onChange(event);
            onPicked?.(event.target.value);
          }}
        >
          {options.map((option) => (
            <MenuItem key={option.value} value={option.value}>
              {option.swatch && <Swatch colour={option.swatch} />}
              {option.label}
            </MenuItem>
          ))}
          {more.map(({ label: words }, at) => (
            <MenuItem key={words} value={`${MORE}${at}`} divider={false}>
              <em>{words}</em>
            </MenuItem>
          ))}
        </TextField>
      )}
    />
  );
}

export function Tick<T extends FieldValues>({ form, name, label }: FieldProps<T>) {
  return (
    <Controller
      control={form.control}
      name={name}
      render={({ field }) => (
        <FormControlLabel
          label={label}
          control={
            <Checkbox
              size="small"
              checked={Boolean(field.value)}
              onChange={(_, on) => field.onChange(on)}
              onBlur={field.onBlur}
              slotProps={{ input: { ref: field.ref } }}
            />
          }
        />
      )}
    />
  );
}

export type Save = {
  readonly submit: (event: FormEvent) => void;
  readonly pending: boolean;
  readonly failure: string | null;
  /** The code of what the last try was refused for. */
  readonly reason: string | null;
  /** Sends it as the button does. */
  readonly send: () => void;
};

/**
 * Sends a checked form. An error of a field goes to that field, any other stands above the button; nothing typed is
 * lost.
 */
export function useSave<T extends FieldValues, Answer>({
  form,
  method,
  path,
  version,
  onSaved,
  toBody,
}: {
  form: Form<T>;
  method: 'POST' | 'PUT';
  path: string;
  version?: number | undefined;
  onSaved: (answer: Answer) => void;
  toBody?: (values: T) => unknown;
}): Save {
  const [pending, setPending] = useState(false);
  const [failure, setFailure] = useState<string | null>(null);
  const [reason, setReason] = useState<string | null>(null);
  const sendOnce = useSendOnce();
  const send = async (values: T) => {
    setPending(true);
    setFailure(null);
    setReason(null);
    try {
      const body = { ...(toBody ? (toBody(values) as object) : values), ...(version === undefined ? {} : { version }) };
      onSaved(await sendOnce<Answer>(method, path, body));
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      if (error.field)
        form.setError(
          error.field.replace(/\[(\d+)\]/g, '.$1') as FieldPath<T>,
          { message: error.message },
          { shouldFocus: true },
        );
      setFailure(error.message);
      setReason(error.reason ?? null);
    } finally {
      setPending(false);
    }
  };
  const submit = form.handleSubmit(send, () => setFailure('Not saved yet: look at the fields marked in red.'));
  return {
    pending,
    failure,
    reason,
    send: () => void submit(),
    // A dialog's form may stand inside another one's page: only its own is sent.
    submit: (event) => {
      event.stopPropagation();
      void submit(event);
    },
  };
}

export function FormActions({
  save,
  label,
  onCancel,
  extra,
}: {
  save: Save;
  label: string;
  onCancel?: () => void;
  extra?: ReactNode;
}) {
  return (
    <DialogActions sx={{ flexWrap: 'wrap', px: 3, pb: 2 }}>
      <div role="alert" className="short grow">
        {save.failure}
      </div>
      {extra}
      {onCancel && <Button onClick={onCancel}>Cancel</Button>}
      <Button type="submit" variant="contained" disabled={save.pending}>
        {label}
      </Button>
    </DialogActions>
  );
}
