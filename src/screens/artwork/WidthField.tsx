// The width a drawing is measured at, in the chosen units; null while what stands there is no number.

import { WIDTH_RANGE_MM } from '../../core/artwork';
import { formatLength } from '../../core/units';
import { NumberBox } from '../shared/NumberBox';
import { useSettings } from '../shared/settings';
import { useTyped } from '../shared/use-typed';
import { useLengthUnit } from '../shared/use-numbers';

type Props = {
  readonly widthMm: number | null;
  readonly onChange: (widthMm: number | null) => void;
  readonly label?: string;
  /** May be left empty. */
  readonly optional?: boolean;
};

export function WidthField({ widthMm, onChange, label = 'Width', optional = false }: Props) {
  const settings = useSettings();
  const { unit, toMm, fromMm } = useLengthUnit();
  const typed = useTyped({ value: widthMm, write: fromMm, read: toMm, onChange });
  const { least, most } = WIDTH_RANGE_MM;
  const isMissing = widthMm === null && !(optional && typed.text.trim() === '');
  const isBad = isMissing || (widthMm !== null && (widthMm < least || widthMm > most));
  const range = `From ${formatLength(least, settings)} to ${formatLength(most, settings)}: from a small bead to the widest roll.`;
  return <NumberBox {...typed} label={label} unit={unit} error={isBad && range} />;
}
