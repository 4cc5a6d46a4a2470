// Customers from a table: a name, and what else its columns hold.

import Papa from 'papaparse';
import { fail, succeed, type Result } from '../units';

export type CustomerLine = {
  readonly name: string;
  readonly contact: string;
  readonly address: string;
  readonly note: string;
};
export type CustomersProblem =
  { readonly kind: 'empty-list' } | { readonly kind: 'no-name-column'; readonly columns: readonly string[] };

const HEADINGS: Readonly<Record<keyof CustomerLine, RegExp>> = {
  name: /^(name|customer|kunde|full name)$/i,
  contact: /^(contact|e-?mail|mail|phone|telephone|telefon|kontakt)$/i,
  address: /^(address|adresse|street)$/i,
  note: /^(note|notes|remark|bemerkung)$/i,
};
const LONGEST: Readonly<Record<keyof CustomerLine, number>> = { name: 120, contact: 200, address: 500, note: 2000 };

/** Lines that name somebody. Problems: nothing in it, no column headed as a name. */
export function readCustomers(text: string): Result<readonly CustomerLine[], CustomersProblem> {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    delimitersToGuess: [';', ',', '\t', '|'],
    skipEmptyLines: 'greedy',
  });
  const [header, ...rows] = data;
  if (!header || rows.length === 0) return fail({ kind: 'empty-list' });
  const columnOf = (name: keyof CustomerLine) => header.findIndex((cell) => HEADINGS[name].test(cell.trim()));
  if (columnOf('name') === -1) return fail({ kind: 'no-name-column', columns: header });
  const cell = (row: readonly string[], name: keyof CustomerLine) => {
    // A mark before a formula is the spreadsheet's, not the customer's.
    const written = (row[columnOf(name)] ?? '').trim().replace(/^'(?=[=+\-@])/, '');
    return [...written].slice(0, LONGEST[name]).join('');
  };
  return succeed(
    rows
      .map((row) => ({
        name: cell(row, 'name'),
        contact: cell(row, 'contact'),
        address: cell(row, 'address'),
        note: cell(row, 'note'),
      }))
      .filter(({ name }) => name !== ''),
  );
}
