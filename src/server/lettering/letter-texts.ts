// Customers' own texts as drawings: each is set and measured once, in a thread, and kept by what it says and how it looks.

import { keyOfLettering, PLAIN_LETTERING, TYPEFACES, type FitProblem } from '../../core/artwork';
import {
  deleteTriedLetterings,
  findLetterings,
  insertLetterings,
  type KeptLettering,
} from '../../data/lettering-store';
import type { Result } from '../../core/units';
import type { ShopContext } from '../context';
import { log, ShopError } from '../errors';
import { heavyWork } from '../heavy/heavy-work';
import type { LetteredText, MeasuredText, TextWish } from '../heavy/letter-thread';

/** So many go to a thread at once: between two lots others get their turn, and who asked can leave. */
const LOT = 20;
const LOTS_AT_ONCE = 2;
const LIMIT_MS = 60_000;
/** A form may stay open over the weekend with texts that nothing rests on yet. */
const TRIED_KEPT_MS = 7 * 24 * 3600 * 1000;
const tooMuch = () => new ShopError('busy', { reason: 'texts-too-slow' });

export type SetText = Result<KeptLettering, FitProblem>;
export type LetterLot = (wishes: readonly TextWish[]) => Promise<readonly LetteredText[]>;
export const letterInThread: LetterLot = (wishes) =>
  heavyWork.run<readonly LetteredText[]>({ kind: 'letter', task: wishes, limitMs: LIMIT_MS, tooMuch });

/** In lots: whoever asks meanwhile waits for one lot. */
const WAKING_LOTS = [
  ['Hedgerow', 'Quillfeather', 'Barrowclough 8', 'Tarn'],
  ['Marlowe', 'Östlund', 'Finch-Hatley', "O'Dell"],
  ['Vale', 'Lindqvist', 'Wren 17', 'Pemberton'],
  ['Ashdown', 'Jex', 'Rowntree', 'Zyga'],
  ['Barrow', 'Fenwick', 'Hollis 23', 'Isolde'],
  ['Larkspur', 'Corvin', 'Mabel', 'Thorne'],
];
/** Enough in all that what sets a text is as quick as it becomes. */
const WAKING_CASES = ['as-typed', 'upper'] as const;
/** How many ask for texts just now: their own wake the threads as well, and nobody waits for others. */
let asking = 0;

/**
 * A thread takes a second to load what it sets texts with, and is slow at first: it begins while the list is still being
 * pasted. What it sets for that is not kept.
 */
export function wakeThreads(typeface: string | null): void {
  const known = TYPEFACES.find(({ key }) => key === typeface);
  const plain = { ...PLAIN_LETTERING, typeface: known?.key ?? PLAIN_LETTERING.typeface };
  const wakeOne = async () => {
    for (const letterCase of WAKING_CASES) {
      const lettering = { ...plain, letterCase };
      for (const texts of WAKING_LOTS) {
        if (asking > 0) return;
        await letterInThread(texts.map((text) => ({ text, lettering, smaller: true })));
      }
    }
  };
  for (let thread = 0; thread < LOTS_AT_ONCE; thread++)
    wakeOne().catch((error: unknown) => log.error(error, 'a thread that sets texts could not be woken'));
}

export const keyOfWish = ({ text, lettering, smaller }: TextWish): string => keyOfLettering(text, lettering, smaller);

/** By their keys. `onSet`: how many of all are done. */
export async function letterTexts(
  shop: ShopContext,
  wishes: readonly TextWish[],
  {
    letterLot = letterInThread,
    onSet,
  }: { readonly letterLot?: LetterLot; readonly onSet?: (done: number) => void } = {},
): Promise<ReadonlyMap<string, SetText>> {
  deleteTriedLetterings(shop.db, shop.now() - TRIED_KEPT_MS);
  const byKey = new Map(wishes.map((wish) => [keyOfWish(wish), wish]));
  const answers = new Map<string, SetText>();
  for (const [key, kept] of findLetterings(shop.db, [...byKey.keys()])) answers.set(key, { ok: true, value: kept });
  const missing = [...byKey].filter(([key]) => !answers.has(key));
  const letterNext = async (lot: typeof missing) => {
    const set = await letterLot(lot.map(([, wish]) => wish));
    keep(shop, lot, set);
    const kept = findLetterings(
      shop.db,
      lot.map(([key]) => key),
    );
    for (const [index, [key]] of lot.entries()) {
      const answer = set[index]!;
      answers.set(key, answer.ok ? { ok: true, value: kept.get(key)! } : answer);
    }
    onSet?.(answers.size);
  };
  asking++;
  try {
    await Promise.all(
      Array.from({ length: LOTS_AT_ONCE }, async () => {
        while (missing.length > 0) await letterNext(missing.splice(0, LOT));
      }),
    );
  } finally {
    asking--;
  }
  return answers;
}

function keep(shop: ShopContext, lot: readonly (readonly [string, TextWish])[], set: readonly LetteredText[]): void {
  const createdAtMs = shop.now();
  insertLetterings(
    shop.db,
    lot.flatMap(([key, { text }], index) => {
      const answer = set[index]!;
      return answer.ok ? [{ key, fit: answer.value.fit, artwork: toArtwork(text, answer.value, createdAtMs) }] : [];
    }),
  );
}

const LAYER_NAMES = ['letters', 'inner letters'];
const NAME_LETTERS = 120;

function toArtwork(text: string, { svg, measured }: MeasuredText, createdAtMs: number) {
  return {
    ...measured,
    name: [...text.replace(/\s+/g, ' ').trim()].slice(0, NAME_LETTERS).join(''),
    fileName: 'lettering.svg',
    original: Buffer.from(svg),
    createdAtMs,
    steps: [],
    layerNames: measured.measurement.layers.map((_, at) => LAYER_NAMES[at] ?? `layer ${at + 1}`),
    layerVinylIds: measured.measurement.layers.map(() => null),
    licence: 'own' as const,
  };
}
