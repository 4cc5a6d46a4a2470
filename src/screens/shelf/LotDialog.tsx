// One lot: book what was cut, spoiled or sold, count it (by ruler, weight or diameter), set an offcut aside, mark what of it is spoiled, remark on it.

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import TextField from '@mui/material/TextField';
import { enqueueSnackbar } from 'notistack';
import { useState } from 'react';
import { BOOKED_CAUSES } from '../../core/input';
import { computeLengthByDiameter, computeLengthByWeight } from '../../core/stock';
import { formatPath, parseNumber } from '../../core/units';
import type { LotView, ThingView } from '../../views/stock';
import { CAUSE_WORDS } from '../../wording/stock';
import { useSettings } from '../shared/settings';
import { describeLot } from './measures';
import { OffcutShapeView } from './OffcutShapeView';
import { NumberText, useLengthUnit } from './SmallFields';
import { SpoiledSpotFields, useSpoiledSpots, type SpoiledSpotText } from './SpoiledSpotFields';
import { useSmallForm } from './use-form-state';

type Props = {
  readonly lot: LotView;
  readonly thing: ThingView;
  readonly onClose: () => void;
  readonly onDone: () => void;
};
const ROOMS = ['book', 'count', 'offcut', 'spots', 'remark'] as const;
type Room = (typeof ROOMS)[number];
const NAMES: Readonly<Record<Room, string>> = {
  book: 'Book',
  count: 'Count',
  offcut: 'Set an offcut aside',
  spots: 'Spoiled spots',
  remark: 'Remark',
};

export default function LotDialog({ lot, thing, onClose, onDone }: Props) {
  const settings = useSettings();
  const [room, setRoom] = useState<Room>(lot.form === 'roll' ? 'offcut' : 'book');
  const { unit, toMm, fromMm } = useLengthUnit();
  const form = useSmallForm({
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
    remark: lot.remark,
  });
  const { values, set } = form;
  const { toText, fromText } = useSpoiledSpots();
  const [spots, setSpots] = useState<readonly SpoiledSpotText[]>(() => lot.spoiledSpots.map(toText));
  const roll = lot.form === 'roll';
  const amountOf = (text: string) => (roll ? toMm(text) : parseNumber(text));
  const byFigure =
    values.by === 'weight'
      ? computeLengthByWeight({
          grams: parseNumber(values.grams) ?? 0,
          coreGrams: parseNumber(values.coreGrams) ?? 0,
          gramsPerM2: parseNumber(values.gramsPerM2) ?? 0,
          widthMm: lot.widthMm ?? 0,
        })
      : values.by === 'diameter'
        ? computeLengthByDiameter({
            diameterMm: toMm(values.diameter) ?? 0,
            coreDiameterMm: toMm(values.coreDiameter) ?? 0,
            thicknessMm: toMm(values.thickness) ?? 0,
          })
        : null;
  const counted = byFigure ? (byFigure.ok ? byFigure.value.value : null) : amountOf(values.counted);
  const path = `/api/stock/${lot.id}`;
  const done = (words: string) => {
    enqueueSnackbar(words);
    onDone();
  };
  const save = () => {
    switch (room) {
      case 'book':
        return form.send(
          'POST',
          `${path}/book`,
          { cause: values.cause, quantity: amountOf(values.quantity), note: values.note },
          () => done('Booked.'),
        );
      case 'count':
        return form.send<{ offBy: number }>(
          'POST',
          `${path}/count`,
          { counted, note: values.note || (values.by === 'ruler' ? '' : `by ${values.by}`) },
          ({ offBy }) =>
            done(
              offBy === 0
                ? 'The book was right.'
                : `The book was off by ${roll ? formatPath(Math.abs(offBy), settings) : Math.abs(offBy)}; it says what was counted now.`,
            ),
        );
      case 'offcut':
        return form.send<{ code: string }>(
          'POST',
          `${path}/offcut`,
          {
            widthMm: toMm(values.width),
            lengthMm: toMm(values.length),
            cornerWidthMm: toMm(values.cornerWidth) ?? 0,
            cornerLengthMm: toMm(values.cornerLength) ?? 0,
            takesMm: values.takes === '' ? 0 : toMm(values.takes),
            remark: values.remark,
          },
          ({ code }) => done(`Write ${code} on it, then put it into the box.`),
        );
      case 'spots':
        return form.send('POST', `${path}/spots`, { spots: spots.map((spot) => fromText(spot) ?? {}) }, () =>
          done(spots.length === 0 ? 'It is sound all over.' : 'Marked: cut sheets keep clear of it.'),
        );
      case 'remark':
        return form.send('POST', `${path}/remark`, { remark: values.remark }, () => done('Kept.'));
      default:
        return room satisfies never;
    }
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="lot-title">
      <DialogTitle id="lot-title">
        <i className="swatch" style={{ background: thing.colourHex }} />
        {thing.name}: {describeLot(lot, settings)}
      </DialogTitle>
      <DialogContent>
        <Tabs value={room} onChange={(_, next: Room) => setRoom(next)} aria-label="What to do">
          {ROOMS.filter((name) =>
            name === 'offcut' ? lot.form === 'roll' || lot.form === 'sheet' : name !== 'spots' || lot.form === 'offcut',
          ).map((name) => (
            <Tab key={name} value={name} label={NAMES[name]} />
          ))}
        </Tabs>
        <div className="cols pad-top-5">
          {lot.form === 'offcut' && room !== 'spots' && (
            <OffcutShapeView lot={lot} colourHex={thing.colourHex} size={150} />
          )}
          {room === 'book' && (
            <div className="fields">
              <TextField
                select
                label="Cause"
                value={values.cause}
                onChange={(event) => set({ cause: event.target.value })}
              >
                {BOOKED_CAUSES.map((cause) => (
                  <MenuItem key={cause} value={cause}>
                    {CAUSE_WORDS[cause]}
                  </MenuItem>
                ))}
              </TextField>
              <NumberText
                label={roll ? 'Length' : 'Pieces'}
                value={values.quantity}
                onChange={(quantity) => set({ quantity })}
                error={form.errorOf('quantity')}
                {...(roll ? { unit } : {})}
                autoFocus
              />
            </div>
          )}
          {room === 'count' && (
            <>
              {roll && (
                <TextField
                  select
                  label="Counted by"
                  value={values.by}
                  onChange={(event) => set({ by: event.target.value })}
                >
                  <MenuItem value="ruler">ruler: the length itself</MenuItem>
                  <MenuItem value="weight">weight of the roll</MenuItem>
                  <MenuItem value="diameter">diameter of the roll</MenuItem>
                </TextField>
              )}
              {values.by === 'ruler' && (
                <NumberText
                  label={roll ? 'Length left' : 'Pieces there'}
                  value={values.counted}
                  onChange={(next) => set({ counted: next })}
                  error={form.errorOf('counted')}
                  {...(roll ? { unit } : {})}
                  autoFocus
                />
              )}
              {values.by === 'weight' && (
                <div className="fields">
                  <NumberText
                    label="Roll with core"
                    unit="g"
                    value={values.grams}
                    onChange={(grams) => set({ grams })}
                  />
                  <NumberText
                    label="Core alone"
                    unit="g"
                    value={values.coreGrams}
                    onChange={(coreGrams) => set({ coreGrams })}
                  />
                  <NumberText
                    label="Vinyl with backing"
                    unit="g/m²"
                    value={values.gramsPerM2}
                    onChange={(gramsPerM2) => set({ gramsPerM2 })}
                  />
                </div>
              )}
              {values.by === 'diameter' && (
                <div className="fields">
                  <NumberText
                    label="Diameter"
                    unit={unit}
                    value={values.diameter}
                    onChange={(diameter) => set({ diameter })}
                  />
                  <NumberText
                    label="Core"
                    unit={unit}
                    value={values.coreDiameter}
                    onChange={(coreDiameter) => set({ coreDiameter })}
                  />
                  <NumberText
                    label="Thickness"
                    unit={unit}
                    value={values.thickness}
                    onChange={(thickness) => set({ thickness })}
                    help="with its backing"
                  />
                </div>
              )}
              {byFigure && (
                <p aria-live="polite" className="flat">
                  {byFigure.ok ? (
                    <>
                      That is <strong className="figures">{formatPath(byFigure.value.value, settings)}</strong>:{' '}
                      {byFigure.value.how}.
                    </>
                  ) : (
                    'Fill in all three; the whole has to be more than its core.'
                  )}
                </p>
              )}
            </>
          )}
          {room === 'offcut' && (
            <>
              <div className="fields">
                <NumberText
                  label="Width"
                  unit={unit}
                  value={values.width}
                  onChange={(width) => set({ width })}
                  error={form.errorOf('widthMm')}
                />
                <NumberText
                  label="Length"
                  unit={unit}
                  value={values.length}
                  onChange={(length) =>
                    set({
                      length,
                      takes: values.takes === '' || values.takes === values.length ? length : values.takes,
                    })
                  }
                  error={form.errorOf('lengthMm')}
                  autoFocus
                />
              </div>
              <div className="fields wide">
                <NumberText
                  label="Missing corner, width"
                  unit={unit}
                  value={values.cornerWidth}
                  onChange={(cornerWidth) => set({ cornerWidth })}
                />
                <NumberText
                  label="Missing corner, length"
                  unit={unit}
                  value={values.cornerLength}
                  onChange={(cornerLength) => set({ cornerLength })}
                />
                <NumberText
                  label="Taken off the roll"
                  unit={unit}
                  value={values.takes}
                  onChange={(takes) => set({ takes })}
                  help="0 where a job has booked it"
                  error={form.errorOf('quantity')}
                />
              </div>
            </>
          )}
          {room === 'spots' && (
            <SpoiledSpotFields
              lot={lot}
              colourHex={thing.colourHex}
              spots={spots}
              onChange={setSpots}
              error={form.errorOf('spots') ?? (form.failure ? 'Write a number.' : undefined)}
            />
          )}
          {room === 'spots' ? null : room === 'remark' || room === 'offcut' ? (
            <TextField
              label="Remark"
              value={values.remark}
              onChange={(event) => set({ remark: event.target.value })}
              placeholder="this lot lifts"
            />
          ) : (
            <TextField label="Note" value={values.note} onChange={(event) => set({ note: event.target.value })} />
          )}
        </div>
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2 }}>
        <div role="alert" className="short grow">
          {form.failure}
        </div>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" disabled={form.pending} onClick={() => void save()}>
          {room === 'spots' ? 'Keep the spots' : NAMES[room]}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
