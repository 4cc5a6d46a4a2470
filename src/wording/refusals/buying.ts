// Refusals of suppliers, their offers and price lists, and of what was ordered from them.

import type { TableProblem } from '../../core/buying';

export const BUYING = {
  'columns-missing': ({ columns }: { columns: readonly string[] }) =>
    `Say which columns hold ${columns.join(' and ')} first.`,
  'no-offer-in-list': () => 'Not one line of this list can be read as an offer. Look at the columns chosen for it.',
  'no-list-to-fetch': () => 'Only simulated suppliers can be asked for their list. Choose a file instead.',
  'list-unreadable': ({ problem }: { problem: TableProblem }) => describeTableProblem(problem),
  'article-taken': ({ article }: { article: string }) =>
    `There is an offer of article ${article} already. Change that one, or write another number.`,
  'offer-withdrawn': () => 'One of these offers is not made any more. Work the basket out again.',
  'below-minimum-order': ({ supplier }: { supplier: string }) =>
    `${supplier} takes no order below its minimum. Add to it, or leave it out.`,
  'purchase-closed': () => 'This purchase is closed: all of it was received before.',
  'more-came': ({ offer, came, ordered }: { offer: string; came: number; ordered: number }) =>
    `${offer}: ${came} came of ${ordered} that were ordered? Look at the number again, or say that it is so.`,
  'line-of-other-purchase': () => 'One of these lines is not of this purchase. Reload the page.',
  'offer-not-matched': ({ offer }: { offer: string }) =>
    `Say first what “${offer}” is on the shelf: open the offer and match it. Nothing was booked.`,
  'basket-too-slow': () => 'This basket takes too long to work out. Ask for fewer needs at once.',
};

function describeTableProblem(problem: TableProblem): string {
  switch (problem.kind) {
    case 'empty-list':
      return 'The list is empty. Ask the supplier for it again, or export it as CSV.';
    case 'no-header':
      return 'No columns were found in it: a price list has at least an article number, a name and a price, parted by semicolons, commas or tabs.';
    case 'too-many-lines':
      return 'That list has more lines than are taken at once. Divide it in two.';
    case 'open-quote':
      return `A quotation mark is never closed, from line ${problem.line} on. Mend that line, then choose the list again.`;
    default:
      return problem satisfies never;
  }
}
