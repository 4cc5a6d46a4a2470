// What has to be bought, for whom, and what is added to it by hand.

import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Grade } from '../../core/materials';
import type { BasketView } from '../../views/purchases';
import type { ThingView } from '../../views/stock';
import { useSettings } from '../shared/settings';
import { formatAmount } from './measures';
import { NumberText } from './SmallFields';
import { plural } from '../../wording/plural';

/** What is to be covered, and whether another vinyl of its kind will do. */
export type Wish = { readonly withOrders: boolean; readonly withMinimums: boolean; readonly alike: Grade | '' };
/** What is being added by hand. */
export type Adding = { readonly thing: ThingView | null; readonly amount: string };
export type Extra = { readonly thing: ThingView; readonly amount: number };

type NeedTableProps = {
  readonly wish: Wish;
  readonly setWish: (wish: Wish) => void;
  readonly view: BasketView | null;
  readonly setExtra: (extra: readonly Extra[]) => void;
  readonly extra: readonly Extra[];
  readonly adding: Adding;
  readonly setAdding: (adding: Adding) => void;
  readonly amount: number | null;
  readonly addNeed: () => void;
};

export function NeedTable({
  wish,
  setWish,
  view,
  setExtra,
  extra,
  adding,
  setAdding,
  amount,
  addNeed,
}: NeedTableProps) {
  return (
    <section className="sheet" aria-label="Needed">
      <h2 className="flat below-1">Needed</h2>
      <FormControlLabel
        control={
          <Checkbox
            size="small"
            checked={wish.withOrders}
            onChange={(_, withOrders) => setWish({ ...wish, withOrders })}
          />
        }
        label="for open orders"
      />
      <FormControlLabel
        control={
          <Checkbox
            size="small"
            checked={wish.withMinimums}
            onChange={(_, withMinimums) => setWish({ ...wish, withMinimums })}
          />
        }
        label="below minimums"
      />
      <TextField
        select
        size="small"
        fullWidth
        label="Vinyl"
        value={wish.alike}
        onChange={(event) => setWish({ ...wish, alike: event.target.value as Grade | '' })}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        sx={{ my: 1 }}
      >
        <MenuItem value="">just the one that is named</MenuItem>
        <MenuItem value="sell">any of its kind and colour, good enough to sell</MenuItem>
        <MenuItem value="own use">any of its kind and colour, good enough for own use</MenuItem>
      </TextField>
      <NeedList view={view} setExtra={setExtra} extra={extra} />
      {view?.needs.length === 0 && (
        <p className="soft flat above-1 below-4">What lies there and is under way covers all of it.</p>
      )}
      <AddNeed view={view} adding={adding} setAdding={setAdding} amount={amount} addNeed={addNeed} />
    </section>
  );
}

type NeedListProps = {
  readonly view: BasketView | null;
  readonly setExtra: (extra: readonly Extra[]) => void;
  readonly extra: readonly Extra[];
};

function NeedList({ view, setExtra, extra }: NeedListProps) {
  const settings = useSettings();
  return (
    <ul className="checks">
      {(view?.needs ?? []).map((need) => (
        <li key={need.id}>
          <div>
            <strong>{need.label}</strong>
            <span className="soft">
              {need.because}
              {need.distrust && <div className="short">{need.distrust}</div>}
              {need.withinDays !== null && `: here within ${plural(need.withinDays, 'day')}`}
            </span>
            {need.problem && <span className="refused">{need.problem}</span>}
          </div>
          <span className="figures">
            {formatAmount(need.amount, need.unit, settings)}
            {need.because === 'added by hand' && (
              <Button
                size="small"
                variant="text"
                aria-label={`Remove ${need.label}`}
                onClick={() => setExtra(extra.filter((entry) => `hand ${entry.thing.key}` !== need.id))}
              >
                Remove
              </Button>
            )}
          </span>
        </li>
      ))}
    </ul>
  );
}

type AddNeedProps = {
  readonly view: BasketView | null;
  readonly adding: Adding;
  readonly setAdding: (adding: Adding) => void;
  readonly amount: number | null;
  readonly addNeed: () => void;
};

function AddNeed({ view, adding, setAdding, amount, addNeed }: AddNeedProps) {
  return (
    <div className="fields above-4 top split-2-1-end">
      <Autocomplete
        size="small"
        options={view?.things ?? []}
        value={adding.thing}
        getOptionLabel={(thing) => thing.name}
        isOptionEqualToValue={(a, b) => a.key === b.key}
        onChange={(_, thing) => setAdding({ ...adding, thing })}
        renderInput={(props) => <TextField {...props} label="Also needed" />}
      />
      <NumberText
        label="How much"
        unit={adding.thing?.unit === 'count' ? 'pieces' : 'm²'}
        value={adding.amount}
        onChange={(next) => setAdding({ ...adding, amount: next })}
      />
      <Button disabled={!adding.thing || amount === null || amount <= 0} onClick={addNeed}>
        Add
      </Button>
    </div>
  );
}
