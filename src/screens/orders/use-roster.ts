// A list of names as it is put together: read, matched to the item's texts, checked, and set in the item's letters.

import { useMemo, useState } from 'react';
import {
  checkRoster,
  isBlocking,
  matchColumns,
  readRoster,
  toRosterRows,
  type RosterFinding,
  type RosterItem,
  type RosterMatch,
  type RosterRow,
  type RosterTable,
} from '../../core/rosters';
import type { SetTextView } from '../../views/letterings';
import { describeRosterProblem } from '../../wording/rosters';
import { callApi, wordsOf } from '../shared/api';
import { useLatest } from '../shared/use-latest';
import type { RosterForm } from './line-form';

export type EditedRow = RosterRow & {
  /** As it was agreed; null follows the shop's price. */
  readonly each: number | null;
  readonly lineId: number | null;
  /** Names of texts that are set in smaller letters. */
  readonly smaller: readonly string[];
};
type SetTexts = ReadonlyMap<string, SetTextView>;

export const keyOfText = (row: EditedRow, label: string): string =>
  JSON.stringify([label, row.texts[label], row.smaller.includes(label)]);
const keyOfFinding = ({ line, label, kind }: RosterFinding): string => `${line} ${label} ${kind}`;

export function useRoster({
  item,
  usual,
  start,
}: {
  readonly item: RosterItem;
  readonly usual: { readonly sizeName: string; readonly colourName: string };
  readonly start: RosterForm | null;
}) {
  const [source, setSource] = useState(start?.source ?? '');
  const [rows, setRows] = useState<readonly EditedRow[]>(() => toEdited(start));
  const [read, setRead] = useState<{ readonly table: RosterTable; readonly match: RosterMatch } | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const [kept, setKept] = useState<ReadonlySet<string>>(new Set());
  const open = (text: string) => {
    setSource(text);
    const table = readRoster(text, item.sizes);
    if (!table.ok) return setFailure(describeRosterProblem(table.problem));
    setFailure(null);
    take(table.value, matchColumns(table.value, item));
  };
  const take = (table: RosterTable, match: RosterMatch) => {
    setRead({ table, match });
    setKept(new Set());
    setRows(toRosterRows(table, match, item, usual).map((row) => ({ ...row, each: null, lineId: null, smaller: [] })));
  };
  const findings = useMemo(
    () => checkRoster(rows, item).filter((finding) => !kept.has(keyOfFinding(finding))),
    [rows, item, kept],
  );
  const setting = useSetRoster(rows, item);
  const unset = rows.filter((row) =>
    listOwnTexts(row, item).some((label) => setting.set.get(keyOfText(row, label))?.set === false),
  );
  return {
    source,
    setSource,
    rows,
    read,
    failure: failure ?? setting.failure,
    findings,
    set: setting.set,
    missing: setting.missing,
    asking: setting.asking,
    again: setting.again,
    /** Rows that can't be made as they stand. */
    blocked: new Set([...findings.filter(isBlocking).map(({ line }) => line), ...unset.map(({ line }) => line)]),
    open,
    rematch: (match: RosterMatch) => read && take(read.table, match),
    change: (line: number, part: Partial<EditedRow>) =>
      setRows((before) => before.map((row) => (row.line === line ? { ...row, ...keepPrice(part), ...part } : row))),
    remove: (line: number) => setRows((before) => before.filter((row) => row.line !== line)),
    add: () => setRows((before) => [...before, emptyRow(before, item, usual)]),
    keep: (finding: RosterFinding) => setKept((before) => new Set([...before, keyOfFinding(finding)])),
    toForm: (): RosterForm => ({ source, rows: rows.map((row) => toFormRow(row, item, read !== null)) }),
  };
}
export type RosterState = ReturnType<typeof useRoster>;

const listOwnTexts = (row: EditedRow, item: RosterItem): readonly string[] =>
  item.letterings.map(({ label }) => label).filter((label) => (row.texts[label] ?? '').trim() !== '');

function toEdited(start: RosterForm | null): readonly EditedRow[] {
  return (start?.rows ?? []).map((row, at) => ({
    line: row.line ?? at + 1,
    given: Object.fromEntries(row.texts.map(({ label, given }) => [label, given])),
    texts: Object.fromEntries(row.texts.map(({ label, text }) => [label, text])),
    smaller: row.texts.flatMap(({ label, smaller }) => (smaller ? [label] : [])),
    sizeName: row.sizeName,
    colourName: row.colourName,
    note: row.note,
    each: row.each,
    lineId: row.lineId,
  }));
}

/** Another size or colour may have another price. */
const keepPrice = ({ sizeName, colourName }: Partial<EditedRow>): Partial<EditedRow> =>
  sizeName === undefined && colourName === undefined ? {} : { each: null };

const emptyRow = (
  rows: readonly EditedRow[],
  item: RosterItem,
  usual: { readonly sizeName: string; readonly colourName: string },
): EditedRow => ({
  line: Math.max(0, ...rows.map(({ line }) => line)) + 1,
  given: {},
  texts: Object.fromEntries(item.letterings.map(({ label }) => [label, ''])),
  ...usual,
  note: '',
  each: null,
  lineId: null,
  smaller: [],
});

/** A text that no list gave is given as it is typed. */
function toFormRow(row: EditedRow, item: RosterItem, isFromList: boolean): RosterForm['rows'][number] {
  return {
    line: isFromList || row.lineId === null ? row.line : null,
    texts: listOwnTexts(row, item).map((label) => ({
      label,
      text: row.texts[label]!,
      given: row.given[label] || row.texts[label]!,
      smaller: row.smaller.includes(label),
    })),
    sizeName: row.sizeName,
    colourName: row.colourName,
    note: row.note,
    each: row.each,
    lineId: row.lineId,
  };
}

/** So many are set at once: between two lots it can be stopped, and says how far it is. */
const LOT = 100;
/** One text alone is being typed: that is waited for. */
const PAUSE_MS = 300;

function useSetRoster(rows: readonly EditedRow[], item: RosterItem) {
  const [set, setSet] = useState<SetTexts>(new Map());
  const [failure, setFailure] = useState<string | null>(null);
  const missing = new Map(
    rows.flatMap((row) =>
      item.letterings.flatMap((lettering) => {
        const key = keyOfText(row, lettering.label);
        return (row.texts[lettering.label] ?? '').trim() === '' || set.has(key)
          ? []
          : [
              [
                key,
                { text: row.texts[lettering.label]!, lettering, smaller: row.smaller.includes(lettering.label) },
              ] as const,
            ];
      }),
    ),
  );
  const asking = useLatest(
    missing.size > 0 && failure === null ? JSON.stringify([...missing.keys()]) : null,
    missing.size === 1 ? PAUSE_MS : 0,
    async (signal) => {
      const lot = [...missing].slice(0, LOT);
      try {
        const { texts } = await callApi<{ texts: readonly SetTextView[] }>(
          'POST',
          '/api/letterings',
          { texts: lot.map(([, wish]) => wish) },
          signal,
        );
        return { lot, texts, failure: null };
      } catch (error) {
        if (signal.aborted) throw error;
        return { lot, texts: [], failure: wordsOf(error) };
      }
    },
    (answer) => {
      setFailure(answer.failure);
      setSet((before) => new Map([...before, ...answer.texts.map((text, at) => [answer.lot[at]![0], text] as const)]));
    },
  );
  return { set, missing: missing.size, failure, asking, again: () => setFailure(null) };
}
