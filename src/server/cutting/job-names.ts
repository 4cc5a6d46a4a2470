// How jobs at the machine are named, so that what it tells is known again: after a restart, and by another window.

type JobName =
  | { readonly of: 'test'; readonly rowId: number; /** From 0. */ readonly test: number }
  | { readonly of: 'load'; readonly rowId: number; readonly atMs: number };

/** What a ladder cuts: its figure, or the fine design that confirms a setting. */
type LadderJob = 'figure' | 'fine';
/** `place`: counted from 0. */
export const nameLadderJob = (ladderId: number, place: number, what: LadderJob): string =>
  `ladder/${ladderId}/${place}/${what}`;
export const readLadderJob = (id: string): LadderJob => (id.endsWith('/fine') ? 'fine' : 'figure');

export const nameJob = (job: JobName): string => `${job.of}/${job.rowId}/${job.of === 'test' ? job.test : job.atMs}`;

/** Null for a job that somebody else gave it. */
export function readJobName(id: string): JobName | null {
  const [of, row, last] = id.split('/');
  const rowId = Number(row);
  if (!Number.isInteger(rowId)) return null;
  if (of === 'test') return { of, rowId, test: Number(last) };
  return of === 'load' ? { of, rowId, atMs: Number(last) } : null;
}
