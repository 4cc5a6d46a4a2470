// Orders from a channel's file. Types only.

import type { ListPage } from './list';

/** What taking a file did, by the number of its orders. */
export type FeedReport = {
  readonly taken: number;
  readonly changed: number;
  readonly cancelled: number;
  /** Known, and nothing about them is new. */
  readonly same: number;
  /** For an article to be matched. */
  readonly waiting: number;
  readonly refused: number;
};

export type FeedRow = {
  readonly reference: string;
  readonly customerName: string;
  readonly orderId: number | null;
  readonly state: 'taken' | 'changed' | 'cancelled' | 'waiting' | 'refused';
  readonly problem: string;
  readonly file: string;
  /** Epoch ms. */
  readonly atMs: number;
};
/** What the channel calls something that the shop knows under no such name. */
export type UnknownName =
  | { readonly kind: 'item'; readonly name: string }
  | {
      readonly kind: 'size' | 'colour';
      readonly name: string;
      readonly item: { readonly id: number; readonly name: string };
      /** As its blank comes. */
      readonly choices: readonly string[];
    };
export type FeedView = {
  readonly rows: readonly FeedRow[];
  readonly at: ListPage;
  readonly unknown: readonly UnknownName[];
  readonly refused: number;
  readonly items: readonly { readonly id: number; readonly name: string }[];
  /** Where files are looked for. */
  readonly folder: string;
};
/** What looking into the folder did, file by file. */
export type FolderReport = {
  readonly files: readonly {
    readonly file: string;
    readonly report: FeedReport | null;
    readonly problem: string | null;
  }[];
};
