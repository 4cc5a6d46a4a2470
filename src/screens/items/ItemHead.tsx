// The head of an item: its verdict, and what can be done with it.

import type { ItemForm } from './item-form';
import type { Calculation } from './calculate-item';
import type { Save } from '../shared/form';
import type { UseFormReturn } from 'react-hook-form';
import Button from '@mui/material/Button';

type ItemHeadProps = {
  readonly values: ItemForm;
  readonly archived: boolean;
  readonly calculation: Calculation;
  readonly id: number | null;
  readonly archive: (on: boolean) => Promise<void>;
  readonly save: Save;
  readonly isNew: boolean;
  readonly form: UseFormReturn<ItemForm>;
};

export function ItemHead({ values, archived, calculation, id, archive, save, isNew, form }: ItemHeadProps) {
  return (
    <div className="page-head below-4">
      <div>
        <h1 className="flat">
          {values.name || 'New item'} {archived && <span className="tag">archived</span>}
        </h1>
        <p aria-live="polite" className="flat above-1 text-large">
          {calculation.ok ? calculation.verdict : <span className="short">{calculation.problem}</span>}
        </p>
      </div>
      <div className="actions">
        {id !== null && <Button onClick={() => void archive(!archived)}>{archived ? 'Restore' : 'Archive'}</Button>}
        {id !== null && <Button href={`/items/${id}/placing`}>Where it sits</Button>}
        {id !== null && <Button href={`/items/compare/${id}`}>Compare vinyls</Button>}
        {id !== null && <Button href={`/orders/new?item=${id}`}>Take an order</Button>}
        <Button type="submit" variant="contained" disabled={save.pending || (!isNew && !form.formState.isDirty)}>
          {isNew ? 'Save this item' : 'Save'}
        </Button>
      </div>
    </div>
  );
}
