// Which offcut holds a piece of this size.

import type { LotView, ThingView, FittingOffcut } from '../../views/stock';
import { useSettings } from '../shared/settings';
import { useState } from 'react';
import { useQuery, type DefinedQueryObserverResult, type QueryObserverPlaceholderResult } from '@tanstack/react-query';
import { callApi, wordsOf } from '../shared/api';
import { useThings } from './use-things';
import { WidthField } from '../artwork/WidthField';
import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { OffcutShapeView } from './OffcutShapeView';
import { describeLot } from './measures';
import { formatShare } from '../../core/units';
import { plural } from '../../wording/plural';

export function OffcutSearch({ count, onLot }: { count: number; onLot: (lot: LotView, thing: ThingView) => void }) {
  const [size, setSize] = useState<{ widthMm: number | null; heightMm: number | null; key: string }>({
    widthMm: 120,
    heightMm: 80,
    key: '',
  });
  const ready = (size.widthMm ?? 0) >= 3 && (size.heightMm ?? 0) >= 3;
  const query = new URLSearchParams({
    widthMm: String(size.widthMm),
    heightMm: String(size.heightMm),
    ...(size.key ? { key: size.key } : {}),
  }).toString();
  const found = useQuery({
    queryKey: ['offcuts', query],
    queryFn: ({ signal }) => callApi<readonly FittingOffcut[]>('GET', `/api/stock/offcuts?${query}`, undefined, signal),
    enabled: ready,
    refetchOnMount: true,
  });
  // Asked for once somebody looks.
  const [looking, setLooking] = useState(false);
  const vinyls = useThings(looking).filter((thing) => thing.kind === 'vinyl');
  return (
    <section className="sheet" aria-label="Offcuts">
      <h2 className="flat below-3">Which offcut holds it?</h2>
      <div className="fields">
        <WidthField label="Width" widthMm={size.widthMm} onChange={(widthMm) => setSize({ ...size, widthMm })} />
        <WidthField label="Height" widthMm={size.heightMm} onChange={(heightMm) => setSize({ ...size, heightMm })} />
        <Autocomplete
          options={vinyls}
          onOpen={() => setLooking(true)}
          getOptionLabel={(thing) => thing.name}
          isOptionEqualToValue={(a, b) => a.key === b.key}
          onChange={(_, thing) => setSize({ ...size, key: thing?.key ?? '' })}
          renderInput={(props) => (
            <TextField
              {...props}
              label="Vinyl"
              placeholder="any"
              slotProps={{ ...props.slotProps, inputLabel: { shrink: true } }}
            />
          )}
        />
      </div>
      {found.isError && <p role="alert">{wordsOf(found.error)}</p>}
      {found.data && <OffcutHits found={found} size={size} onLot={onLot} />}
      {found.data?.length === 0 && (
        <p className="soft flat above-3">
          {count === 0
            ? 'No offcuts yet. Open a roll, and set one aside.'
            : `None of the ${plural(count, 'offcut')} is large enough.`}
        </p>
      )}
    </section>
  );
}

type OffcutHitsProps = {
  readonly found:
    | DefinedQueryObserverResult<readonly FittingOffcut[], Error>
    | QueryObserverPlaceholderResult<readonly FittingOffcut[], Error>;
  readonly size: { widthMm: number | null; heightMm: number | null; key: string };
  readonly onLot: (lot: LotView, thing: ThingView) => void;
};

function OffcutHits({ found, size, onLot }: OffcutHitsProps) {
  const settings = useSettings();
  return (
    <ul className="offcuts" aria-label="Offcuts that hold it">
      {found.data.map(({ lot, thing, fit, usedShare }) => (
        <li key={lot.id}>
          <OffcutShapeView
            lot={lot}
            colourHex={thing.colourHex}
            placed={{
              ...fit,
              widthMm: fit.turned ? size.heightMm! : size.widthMm!,
              heightMm: fit.turned ? size.widthMm! : size.heightMm!,
            }}
          />
          <div>
            <button type="button" className="quiet" onClick={() => onLot(lot, thing)}>
              <strong className="code">{lot.code}</strong>
            </button>{' '}
            {thing.name}
            <br />
            <span className="soft">
              {describeLot(lot, settings).replace(/^offcut \w+, /, '')}, {formatShare(usedShare, settings, 0)} used
              {fit.turned ? ', turned' : ''}
            </span>
          </div>
        </li>
      ))}
    </ul>
  );
}
