// The folder that stands for a channel's order feed: files dropped there are taken and put aside.

import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, statSync } from 'node:fs';
import { dirname, extname, join } from 'node:path';
import { decodeList } from '../../core/buying/price-list';
import type { FolderReport } from '../../views/feed';
import type { ShopContext } from '../context';
import { ShopError } from '../errors';
import { takeFeed } from './take-feed';

/** Beside the shop's file. */
export const FEED_FOLDER = 'feed';
const DONE = 'done';
const REFUSED = 'refused';
const MOST_BYTES = 5 * 1024 * 1024;

export const feedFolderOf = (shop: ShopContext): string => join(dirname(shop.db.$client.name), FEED_FOLDER);

let looking: Promise<FolderReport> | null = null;

/** One look at a time: two windows that ask at once get the same answer, and no file is taken by both. */
export function lookIntoFolder(shop: ShopContext): Promise<FolderReport> {
  looking ??= takeFolder(shop).finally(() => {
    looking = null;
  });
  return looking;
}

/** Takes every file, the first by name first; what can't be read is put aside apart, with the reason told. */
async function takeFolder(shop: ShopContext): Promise<FolderReport> {
  const folder = feedFolderOf(shop);
  for (const name of ['', DONE, REFUSED]) mkdirSync(join(folder, name), { recursive: true });
  const files = readdirSync(folder)
    .filter((name) => extname(name).toLowerCase() === '.csv')
    .sort();
  const reports: FolderReport['files'][number][] = [];
  for (const file of files) reports.push(await takeFile(shop, folder, file));
  return { files: reports };
}

async function takeFile(shop: ShopContext, folder: string, file: string): Promise<FolderReport['files'][number]> {
  const path = join(folder, file);
  try {
    if (statSync(path).size > MOST_BYTES) throw new ShopError('too-large', { reason: 'feed-too-large', file });
    const report = await takeFeed(shop, { file, text: decodeList(readFileSync(path)) });
    putAside(folder, file, DONE);
    return { file, report, problem: null };
  } catch (error) {
    if (!(error instanceof ShopError)) throw error;
    putAside(folder, file, REFUSED);
    return { file, report: null, problem: error.message };
  }
}

/** Another file of that name may lie there from before: both are kept. */
function putAside(folder: string, file: string, into: string): void {
  const bare = file.slice(0, -extname(file).length);
  let name = file;
  for (let copy = 2; existsSync(join(folder, into, name)); copy++) name = `${bare} ${copy}${extname(file)}`;
  renameSync(join(folder, file), join(folder, into, name));
}
