// Words for lists of names: why one can't be read, and what may be wrong with a row.

import type { RosterFinding, RosterProblem } from '../core/rosters';

export function describeRosterProblem(problem: RosterProblem): string {
  switch (problem.kind) {
    case 'empty-list':
      return 'There is nothing in the list. Paste one name a line, or cells from a table.';
    case 'open-quote':
      return `A quotation that begins on line ${problem.line} never ends. Remove the mark, or write it twice.`;
    case 'too-many-rows':
      return `${problem.rows} rows are too many at once: at most ${problem.limit}. Take the list in parts.`;
    default:
      return problem satisfies never;
  }
}

/** What it is, and what could be done about it; null where only the seller can say. */
export function describeFinding(finding: RosterFinding): { readonly what: string; readonly fix: string | null } {
  const named = finding.label === null ? '' : `${finding.label}: `;
  switch (finding.kind) {
    case 'spaces-at-ends':
      return { what: `${named}spaces at an end`, fix: 'Remove them' };
    case 'hidden-letters':
      return { what: `${named}signs that nobody sees`, fix: 'Remove them' };
    case 'look-alike':
      return {
        what: `${named}a letter that looks like a digit, or the other way round`,
        fix: `Make it “${finding.becomes}”`,
      };
    case 'other-case':
      return { what: `${named}capitals unlike the others`, fix: `Make it “${finding.becomes}”` };
    case 'nothing-written':
      return { what: `${named}nothing written: it is left off this piece`, fix: null };
    case 'written-twice':
      return { what: `${named}the same in lines ${finding.lines.join(', ')}`, fix: null };
    case 'unknown-size':
      return { what: finding.written === '' ? 'no size' : `no size is called “${finding.written}”`, fix: null };
    case 'unknown-colour':
      return { what: finding.written === '' ? 'no colour' : `no colour is called “${finding.written}”`, fix: null };
    default:
      return finding satisfies never;
  }
}
