// One lot: book what was cut, spoiled or sold, count it (by ruler, weight or diameter), set an offcut aside, mark what
// of it is spoiled, remark on it.

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { LotView, ThingView } from '../../views/stock';
import { useSettings } from '../shared/settings';
import { Swatch } from '../shared/Swatch';
import { describeCount, listRooms, readAmount, readCounted, readTrueWidth, useLotForm, type LotRoom } from './lot-form';
import { BookRoom, CountRoom, OffcutRoom } from './LotRooms';
import { describeLot } from './measures';
import { OffcutShapeView } from './OffcutShapeView';
import { useLengthUnit, useNumbers } from '../shared/use-numbers';
import { SpoiledSpotFields, useSpoiledSpots, type SpoiledSpotText } from './SpoiledSpotFields';
import { enqueueSnackbar } from '../shared/snackbar';

type Props = {
  readonly lot: LotView;
  readonly thing: ThingView;
  readonly onClose: () => void;
  readonly onDone: () => void;
};
const ROOM_NAMES: Readonly<Record<LotRoom, string>> = {
  book: 'Book',
  count: 'Count',
  offcut: 'Set an offcut aside',
  spots: 'Spoiled spots',
  remark: 'Remark',
};

export default function LotDialog({ lot, thing, onClose, onDone }: Props) {
  const settings = useSettings();
  const [room, setRoom] = useState<LotRoom>(lot.form === 'roll' ? 'offcut' : 'book');
  const form = useLotForm(lot);
  const { toText, fromText } = useSpoiledSpots();
  const [spots, setSpots] = useState<readonly SpoiledSpotText[]>(() => lot.spoiledSpots.map(toText));
  const save = useSendLot({ lot, form, spots: spots.map((spot) => fromText(spot) ?? {}), onDone });
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="lot-title">
      <DialogTitle id="lot-title">
        <Swatch colour={thing.colourHex} />
        {thing.name}: {describeLot(lot, settings)}
      </DialogTitle>
      <DialogContent>
        <Tabs value={room} onChange={(_, next: LotRoom) => setRoom(next)} aria-label="What to do">
          {listRooms(lot).map((name) => (
            <Tab key={name} value={name} label={ROOM_NAMES[name]} />
          ))}
        </Tabs>
        <div className="cols pad-top-5">
          {lot.form === 'offcut' && room !== 'spots' && (
            <OffcutShapeView lot={lot} colourHex={thing.colourHex} size={150} />
          )}
          {room === 'book' && <BookRoom lot={lot} form={form} />}
          {room === 'count' && <CountRoom lot={lot} form={form} />}
          {room === 'offcut' && <OffcutRoom lot={lot} form={form} />}
          {room === 'spots' ? (
            <SpoiledSpotFields
              lot={lot}
              colourHex={thing.colourHex}
              spots={spots}
              onChange={setSpots}
              error={form.errorOf('spots') ?? (form.failure ? 'Write a number.' : undefined)}
            />
          ) : (
            <Note room={room} form={form} />
          )}
        </div>
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2 }}>
        <div role="alert" className="short grow">
          {form.failure}
        </div>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" disabled={form.pending} onClick={() => void save(room)}>
          {room === 'spots' || room === 'remark' ? 'Save' : ROOM_NAMES[room]}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function Note({
  room,
  form: { values, set },
}: {
  readonly room: LotRoom;
  readonly form: ReturnType<typeof useLotForm>;
}) {
  return room === 'remark' || room === 'offcut' ? (
    <TextField
      label="Remark"
      value={values.remark}
      onChange={(event) => set({ remark: event.target.value })}
      placeholder="this lot lifts"
    />
  ) : (
    <TextField label="Note" value={values.note} onChange={(event) => set({ note: event.target.value })} />
  );
}

type SendInput = {
  readonly lot: LotView;
  readonly form: ReturnType<typeof useLotForm>;
  readonly spots: readonly unknown[];
  readonly onDone: () => void;
};

/** What each room sends, and what is told once it is done. */
function useSendLot({ lot, form, spots, onDone }: SendInput): (room: LotRoom) => Promise<void> {
  const settings = useSettings();
  const { toMm } = useLengthUnit();
  const { read } = useNumbers();
  const readers = { toMm, read };
  const { values } = form;
  const path = `/api/stock/${lot.id}`;
  const done = (words: string) => {
    enqueueSnackbar(words);
    onDone();
  };
  return (room) => {
    switch (room) {
      case 'book': {
        const body = { cause: values.cause, quantity: readAmount(values.quantity, lot, readers), note: values.note };
        return form.send('POST', `${path}/book`, body, () => done('Booked.'));
      }
      case 'count': {
        const note = values.note || (values.by === 'ruler' ? '' : `by ${values.by}`);
        const body = {
          counted: readCounted(values, lot, readers),
          widthMm: readTrueWidth(values, lot, readers),
          note,
        };
        return form.send<{ offBy: number }>('POST', `${path}/count`, body, ({ offBy }) =>
          done(describeCount(offBy, lot, settings)),
        );
      }
      case 'offcut': {
        const body = {
          widthMm: toMm(values.width),
          lengthMm: toMm(values.length),
          cornerWidthMm: toMm(values.cornerWidth) ?? 0,
          cornerLengthMm: toMm(values.cornerLength) ?? 0,
          takesMm: values.takes === '' ? 0 : toMm(values.takes),
          remark: values.remark,
        };
        return form.send<{ code: string }>('POST', `${path}/offcut`, body, ({ code }) =>
          done(`Write ${code} on it, then put it into the box.`),
        );
      }
      case 'spots':
        return form.send('POST', `${path}/spots`, { spots }, () =>
          done(spots.length === 0 ? 'It is sound all over.' : 'Marked: cut sheets keep clear of it.'),
        );
      case 'remark':
        return form.send('POST', `${path}/remark`, { remark: values.remark }, () => done('Saved.'));
      default:
        return room satisfies never;
    }
  };
}
