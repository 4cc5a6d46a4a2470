// One offer: what is in the pack and what of the shelf that is, its unit prices, and how its price went.

import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { CartesianGrid, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { dayOf, formatDay, formatLength, formatMoney } from '../../core/units';
import type { OfferHistory, OfferView } from '../../views/offers';
import { callApi, wordsOf } from '../shared/api';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import { useThings } from './use-things';
import { COLOURS } from '../../theme/tokens';
import type { Figure, Minor } from '../../core/units';
import type { ThingView } from '../../views/stock';
import type { UseQueryResult } from '@tanstack/react-query';
import { enqueueSnackbar } from '../shared/snackbar';

export default function OfferDialog({
  offer,
  onClose,
  onDone,
  onChange,
}: {
  offer: OfferView;
  onClose: () => void;
  onDone: () => void;
  onChange: () => void;
}) {
  const settings = useSettings();
  const things = useThings();
  const [keys, setKeys] = useState(offer.parts.map((part) => part.key));
  const history = useQuery({
    queryKey: ['history', offer.id],
    queryFn: ({ signal }) => callApi<OfferHistory>('GET', `/api/offers/${offer.id}`, undefined, signal),
    refetchOnMount: true,
  });
  const points = [
    ...(history.data?.prices ?? []),
    ...(history.data ? [{ atMs: offer.pricedAtMs, price: offer.price }] : []),
  ];
  const day = (atMs: number) => formatDay(dayOf(atMs, settings.timeZone), settings);
  const match = async (position: number, key: string | null) => {
    const before = keys;
    setKeys(keys.map((own, index) => (index === position ? key : own)));
    try {
      await callApi('PUT', `/api/offers/${offer.id}/match`, { position, key });
    } catch (error) {
      setKeys(before);
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
    }
  };
  const units = [offer.unit.perM2, offer.unit.perMetre, offer.unit.perPiece].flatMap((figure) => figure ?? []);
  return (
    <Dialog open onClose={onDone} fullWidth maxWidth="sm" aria-labelledby="offer-title">
      <DialogTitle id="offer-title">
        {offer.name} <span className="soft">{offer.code}</span>
      </DialogTitle>
      <OfferFields
        offer={offer}
        units={units}
        things={things}
        keys={keys}
        match={match}
        points={points}
        day={day}
        history={history}
      />
      <DialogActions sx={{ px: 3, pb: 2 }}>
        <Button onClick={onChange}>Change the offer</Button>
        <Button
          variant="contained"
          onClick={keys.join() === offer.parts.map((part) => part.key).join() ? onClose : onDone}
        >
          Close
        </Button>
      </DialogActions>
    </Dialog>
  );
}

type OfferFieldsProps = {
  readonly offer: OfferView;
  readonly units: Figure[];
  readonly things: readonly ThingView[];
  readonly keys: (string | null)[];
  readonly match: (position: number, key: string | null) => Promise<void>;
  readonly points: { readonly atMs: number; readonly price: Minor }[];
  readonly day: (atMs: number) => string;
  readonly history: UseQueryResult<OfferHistory, Error>;
};

function OfferFields({ offer, units, things, keys, match, points, day, history }: OfferFieldsProps) {
  const settings = useSettings();
  return (
    <DialogContent>
      <div className="cols">
        <p className="flat">
          <strong className="figures">{formatMoney(offer.price, settings)}</strong> a pack
          {offer.breaks.map((step) => `, ${formatMoney(step.price, settings)} from ${step.fromPacks}`).join('')}
          {offer.takePay && `; take ${offer.takePay.take}, pay ${offer.takePay.pay}`}.{' '}
          {units.map((figure) => (
            <span key={figure.label} className="after-5">
              {figure.label.toLowerCase()} <Why figure={figure} />
            </span>
          ))}
        </p>
        <PackContents offer={offer} things={things} keys={keys} match={match} />
        <PriceHistory points={points} day={day} />
        {history.isError && <p role="alert">{wordsOf(history.error)}</p>}
      </div>
    </DialogContent>
  );
}

type PackContentsProps = {
  readonly offer: OfferView;
  readonly things: readonly ThingView[];
  readonly keys: (string | null)[];
  readonly match: (position: number, key: string | null) => Promise<void>;
};

function PackContents({ offer, things, keys, match }: PackContentsProps) {
  const settings = useSettings();
  return (
    <ul className="checks" aria-label="In the pack">
      {offer.parts.map((part, index) => (
        <li key={index} className="split-3-4">
          <span>
            {part.count} ×{' '}
            {part.widthMm === null
              ? ''
              : `${formatLength(part.widthMm, settings)} × ${formatLength(part.lengthMm ?? 0, settings)}, `}
            {part.label || offer.name}
          </span>
          <Autocomplete
            size="small"
            options={things}
            value={things.find((thing) => thing.key === keys[index]) ?? (part.key === keys[index] ? part.thing : null)}
            getOptionLabel={(thing) => thing.name}
            isOptionEqualToValue={(a, b) => a.key === b.key}
            onChange={(_, thing) => void match(index, thing?.key ?? null)}
            renderInput={(props) => <TextField {...props} label="On your shelf" placeholder="not matched" />}
          />
        </li>
      ))}
    </ul>
  );
}

type PriceHistoryProps = {
  readonly points: { readonly atMs: number; readonly price: Minor }[];
  readonly day: (atMs: number) => string;
};

function PriceHistory({ points, day }: PriceHistoryProps) {
  const settings = useSettings();
  return (
    <div
      role="img"
      aria-label={`Price history: ${points.map((point) => `${day(point.atMs)} ${formatMoney(point.price, settings)}`).join(', ')}`}
      className="chart-low"
    >
      {points.length > 0 && (
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={points} margin={{ top: 8, right: 12, bottom: 0, left: 0 }}>
            <CartesianGrid stroke="var(--mui-palette-divider)" vertical={false} />
            <XAxis
              dataKey="atMs"
              type="number"
              domain={['dataMin', 'dataMax']}
              tickFormatter={day}
              fontSize={12}
              stroke="var(--mui-palette-text-secondary)"
            />
            <YAxis
              width={54}
              fontSize={12}
              domain={['auto', 'auto']}
              tickFormatter={(price: number) => formatMoney(price, settings)}
              stroke="var(--mui-palette-text-secondary)"
            />
            <Tooltip
              labelFormatter={(atMs) => day(Number(atMs))}
              formatter={(price) => [formatMoney(Number(price), settings), 'price']}
            />
            <Line type="stepAfter" dataKey="price" stroke={COLOURS.madder} strokeWidth={2} isAnimationActive={false} />
          </LineChart>
        </ResponsiveContainer>
      )}
    </div>
  );
}
