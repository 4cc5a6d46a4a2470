// Lists of names: read as written, matched to an item's texts, and checked row by row.
export { ORDER_ROW_LIMIT, readRoster, ROSTER_ROW_LIMIT, type RosterProblem, type RosterTable } from './read-roster';
export {
  countColumns,
  matchColumns,
  toRosterRows,
  type RosterItem,
  type RosterMatch,
  type RosterRow,
} from './match-columns';
export { checkRoster, isBlocking, type RosterFinding } from './check-roster';
export { readCustomers, type CustomerLine, type CustomersProblem } from './read-customers';
