// What is typed about a lot, and what each room of its dialog sends.

import { computeLengthByDiameter, computeLengthByWeight } from '../../core/stock';
import { formatPath, type FormatSettings } from '../../core/units';
import type { LotView } from '../../views/stock';
import { useLengthUnit } from '../shared/use-numbers';
import { useSmallForm } from './use-form-state';

const LOT_ROOMS = ['book', 'count', 'offcut', 'spots', 'remark'] as const;
export type LotRoom = (typeof LOT_ROOMS)[number];

/** Offcuts are set aside from rolls and sheets; spots are marked on offcuts. */
export function listRooms(lot: LotView): readonly LotRoom[] {
  const canSetAside = lot.form === 'roll' || lot.form === 'sheet';
  return LOT_ROOMS.filter((room) => (room === 'offcut' ? canSetAside : room !== 'spots' || lot.form === 'offcut'));
}

export function useLotForm(lot: LotView) {
  const { fromMm } = useLengthUnit();
  return useSmallForm({
    cause: 'cut',
    quantity: lot.form === 'offcut' ? '1' : '',
    note: '',
    counted: '',
    by: 'ruler',
    grams: '',
    coreGrams: '',
    gramsPerM2: '',
    diameter: '',
    coreDiameter: '',
    thickness: '',
    width: lot.widthMm === null ? '' : fromMm(lot.widthMm),
    length: '',
    cornerWidth: '',
    cornerLength: '',
    takes: '',
    trueWidth: lot.widthMm === null ? '' : fromMm(lot.widthMm),
    remark: lot.remark,
  });
}
export type LotForm = ReturnType<typeof useLotForm>;
export type LotRoomProps = { readonly lot: LotView; readonly form: LotForm };

type Read = (text: string) => number | null;
/** How what was typed is read: lengths as mm, all else as it is. */
export type Readers = { readonly toMm: Read; readonly read: Read };

/** The length of a roll by its weight or its diameter; null where it is counted by ruler. */
export function readLengthBy(values: LotForm['values'], lot: LotView, { toMm, read }: Readers) {
  switch (values.by) {
    case 'weight':
      return computeLengthByWeight({
        grams: read(values.grams) ?? 0,
        coreGrams: read(values.coreGrams) ?? 0,
        gramsPerM2: read(values.gramsPerM2) ?? 0,
        widthMm: lot.widthMm ?? 0,
      });
    case 'diameter':
      return computeLengthByDiameter({
        diameterMm: toMm(values.diameter) ?? 0,
        coreDiameterMm: toMm(values.coreDiameter) ?? 0,
        thicknessMm: toMm(values.thickness) ?? 0,
      });
    default:
      return null;
  }
}

/** As it was measured, mm; null where the lot has none of its own, or it was not changed. */
export const readTrueWidth = (values: LotForm['values'], lot: LotView, { toMm }: Readers): number | null =>
  lot.form === 'roll' || lot.form === 'sheet' ? toMm(values.trueWidth) : null;

/** What was counted: mm of a roll, pieces of all else; null while it is no number. */
export function readCounted(values: LotForm['values'], lot: LotView, { toMm, read }: Readers): number | null {
  const by = readLengthBy(values, lot, { toMm, read });
  if (by) return by.ok ? by.value.value : null;
  return readAmount(values.counted, lot, { toMm, read });
}

export const readAmount = (text: string, lot: LotView, { toMm, read }: Readers): number | null =>
  lot.form === 'roll' ? toMm(text) : read(text);

export function describeCount(offBy: number, lot: LotView, settings: FormatSettings): string {
  if (offBy === 0) return 'The book was right.';
  const by = lot.form === 'roll' ? formatPath(Math.abs(offBy), settings) : Math.abs(offBy);
  return `The book was off by ${by}; it says what was counted now.`;
}
