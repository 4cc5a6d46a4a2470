// What the further fields of an item work on.

import type { UseFormReturn } from 'react-hook-form';
import type { ItemEvidence, ItemSpec } from '../../core/costing';
import type { ItemEditorView } from '../../views/items';
import type { BlankView } from '../../views/shelf';
import type { ItemForm } from './item-form';

export type MoreFieldsProps = {
  readonly form: UseFormReturn<ItemForm>;
  readonly view: ItemEditorView;
  readonly blank: BlankView | undefined;
  readonly evidence: ItemEvidence;
  /** What it is calculated from; null while that can’t be told. */
  readonly spec: ItemSpec | null;
};
