// From what a load is cut: the shelf in its order, one lot, some of them, or a piece that was measured by hand.

import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { orderStock, type LotChoice } from '../../core/orders';
import { nameLot } from '../../wording/nesting';
import { NumberInput } from '../shared/NumberInput';
import { useSettings } from '../shared/settings';
import { WidthRead } from './WidthRead';
import type { LoadWish, StockWish, TypedPiece } from './use-load-wish';

type Props = {
  readonly stock: readonly LotChoice[];
  readonly choice: LoadWish['stock'];
  /** A lot was found to be of another width. */
  readonly onRead: () => void;
};

export function StockChoice({ stock, choice, onRead }: Props) {
  const settings = useSettings();
  const lots = orderStock(stock);
  const one = lots.find((lot) => lot.lotId === choice.wish && lot.shape === null);
  return (
    <>
      <div className="fields split-2-1-1">
        <TextField
          select
          size="small"
          label="Cut from"
          value={choice.wish}
          onChange={(event) => choice.setWish(event.target.value as StockWish)}
        >
          {lots.length > 0 && <MenuItem value="shelf">the shelf: offcuts first, then sheets, then the roll</MenuItem>}
          {lots.map((lot) => (
            <MenuItem key={lot.lotId} value={lot.lotId}>
              {nameLot(lot, settings)}
            </MenuItem>
          ))}
          {lots.length > 2 && <MenuItem value="mix">some of these, chosen below</MenuItem>}
          <MenuItem value="typed">a piece of this size</MenuItem>
        </TextField>
        {choice.wish === 'typed' && <TypedSize piece={choice.typed} onChange={choice.setTyped} />}
      </div>
      {one && <WidthRead key={one.lotId} lot={one} onRead={onRead} />}
      {choice.wish === 'mix' && (
        <div className="readings">
          {lots.map((lot) => (
            <FormControlLabel
              key={lot.lotId}
              control={
                <Checkbox
                  size="small"
                  checked={choice.mix.has(lot.lotId)}
                  onChange={(_, on) => choice.toggleMix(lot.lotId, on)}
                />
              }
              label={nameLot(lot, settings)}
            />
          ))}
        </div>
      )}
    </>
  );
}

function TypedSize({
  piece,
  onChange,
}: {
  readonly piece: TypedPiece;
  readonly onChange: (piece: TypedPiece) => void;
}) {
  const size = (label: string, key: keyof TypedPiece) => (
    <NumberInput
      shown
      label={label}
      unit="mm"
      value={piece[key]}
      least={10}
      onChange={(value) => onChange({ ...piece, [key]: value })}
    />
  );
  return (
    <>
      {size('As read: width', 'widthMm')}
      {size('length', 'lengthMm')}
    </>
  );
}
