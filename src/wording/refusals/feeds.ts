// Why a channel's file was not taken.

import type { FeedProblem } from '../../core/feeds';

export const FEEDS = {
  'feed-unreadable': ({ file, problem }: { file: string; problem: FeedProblem }) =>
    `Nothing of ${file} was taken. ${describeFeedProblem(problem)}`,
  'feed-columns': ({ file, column }: { file: string; column: string }) =>
    `Nothing of ${file} was taken: none of its columns is headed “${column}”. Import it by hand once and say which column that is; after that, files like it are known.`,
  'feed-too-large': ({ file }: { file: string }) => `${file} is larger than an order file ever is. Divide it in two.`,
};

function describeFeedProblem(problem: FeedProblem): string {
  switch (problem.kind) {
    case 'empty-list':
      return 'It is empty. Ask the channel for it again.';
    case 'no-header':
      return 'No columns were found in it: it has at least an order number and an item, parted by semicolons, commas or tabs.';
    case 'too-many-lines':
      return 'It has more lines than are taken at once. Divide it in two.';
    case 'open-quote':
      return `A quotation mark is never closed, from line ${problem.line} on. Mend that line, then take it again.`;
    case 'no-column':
      return `It has no column “${problem.column}”. Name the column so in its first line.`;
    case 'bad-cell':
      return problem.cell === ''
        ? `Line ${problem.line} says nothing under “${problem.column}”. Fill it in, then take the file again.`
        : `Line ${problem.line} says “${problem.cell}” under “${problem.column}”, which can’t be read. Mend it, then take the file again.`;
    default:
      return problem satisfies never;
  }
}
