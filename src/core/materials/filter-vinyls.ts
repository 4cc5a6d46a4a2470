// Which vinyls of the shelf do for what stands on the table.

import type { Fabric } from './blank';
import { isSafeOn, type Vinyl } from './vinyl';
import { GRADES, type Grade } from './vinyl-details';
import { getKindFacts, type VinylKind } from './vinyl-kinds';

export type VinylFilter = {
  readonly words: string;
  readonly kind: VinylKind | '';
  /** Only what can be pressed on it, or stuck to it where nothing is pressed. */
  readonly fabric: Fabric | '';
  readonly inStock: boolean;
  /** At least so good; '' for any. */
  readonly grade: Grade | '';
};
export const NO_FILTER: VinylFilter = { words: '', kind: '', fabric: '', inStock: false, grade: '' };

/** Every word has to be in the name, colour, kind or supplier. */
export function filterVinyls<T extends Vinyl & { readonly supplier: string }>(
  vinyls: readonly T[],
  filter: VinylFilter,
  stocked: ReadonlySet<number>,
): readonly T[] {
  const words = filter.words
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  return vinyls.filter((vinyl) => {
    const text = `${vinyl.name} ${vinyl.colourName} ${getKindFacts(vinyl.kind).label} ${vinyl.supplier}`.toLowerCase();
    return (
      words.every((word) => text.includes(word)) &&
      (filter.kind === '' || vinyl.kind === filter.kind) &&
      (filter.fabric === '' || isSafeOn(vinyl, filter.fabric)) &&
      (!filter.inStock || stocked.has(vinyl.id)) &&
      (filter.grade === '' || GRADES.indexOf(vinyl.details.grade) <= GRADES.indexOf(filter.grade))
    );
  });
}
