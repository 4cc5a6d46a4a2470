// What pieces of an order say: set as drawings before it is taken, and put in the places of the samples.

import { listLetterings, placeTexts, resolveVariant, type Made } from '../../core/costing/index';
import type { FitProblem, Lettering } from '../../core/artwork/index';
import type { LineText } from '../../core/orders/index';
import { findItems, type StoredItem } from '../../data/item-store';
import { findLetterings, type KeptLettering } from '../../data/lettering-store';
import type { ShopContext } from '../context';
import { ShopError } from '../errors';
import type { TextWish } from '../heavy/letter-thread';
import { keyOfWish, letterTexts } from '../lettering/letter-texts';

type TextLine = {
  readonly itemId: number;
  readonly sizeName: string;
  readonly colourName: string;
  readonly options?: readonly number[] | undefined;
  readonly texts?: readonly LineText[] | undefined;
};

/** The texts of an item with these options, by the name of each. */
const listLetteringsOf = (item: StoredItem, line: TextLine): readonly Lettering[] =>
  listLetterings(
    resolveVariant(item, { sizeName: line.sizeName, colourName: line.colourName, options: line.options ?? [] }),
  );

/** What is to be set for a line: each of its texts that says anything. */
function listWishes(item: StoredItem, line: TextLine): readonly TextWish[] {
  const texts = new Map((line.texts ?? []).map((text) => [text.label, text]));
  return listLetteringsOf(item, line).flatMap((lettering): TextWish[] => {
    const own = texts.get(lettering.label);
    return own && own.text.trim() !== '' ? [{ text: own.text, lettering, smaller: own.smaller ?? false }] : [];
  });
}

/** Names of texts that the item asks for and nobody wrote: the pieces come without. */
export function listUnwritten(item: StoredItem, line: TextLine): readonly string[] {
  const written = new Set((line.texts ?? []).filter(({ text }) => text.trim() !== '').map(({ label }) => label));
  return listLetteringsOf(item, line)
    .map(({ label }) => label)
    .filter((label) => !written.has(label));
}

export type TextProblem = { readonly line: number; readonly wish: TextWish; readonly problem: FitProblem };

/** Sets all texts of the lines; tells which can't be. `line`: its place, from 0. */
export async function findTextProblems(shop: ShopContext, lines: readonly TextLine[]): Promise<readonly TextProblem[]> {
  const items = findItemsOf(shop, lines);
  const wishes = lines.flatMap((line, index) => {
    const item = items.get(line.itemId);
    return item ? listWishes(item, line).map((wish) => ({ line: index, wish })) : [];
  });
  const set = await letterTexts(
    shop,
    wishes.map(({ wish }) => wish),
  );
  return wishes.flatMap(({ line, wish }) => {
    const answer = set.get(keyOfWish(wish))!;
    return answer.ok ? [] : [{ line, wish, problem: answer.problem }];
  });
}

/** Sets all texts of the lines. @throws ShopError naming the first that can't be, and why */
export async function prepareTexts(shop: ShopContext, lines: readonly TextLine[]): Promise<void> {
  const [first] = await findTextProblems(shop, lines);
  if (!first) return;
  const { line, wish, problem } = first;
  throw new ShopError(
    'invalid',
    { reason: 'text-not-set', label: wish.lettering.label, text: wish.text, problem },
    `lines[${line}].texts`,
  );
}

const findItemsOf = (shop: ShopContext, lines: readonly TextLine[]): ReadonlyMap<number, StoredItem> =>
  new Map(findItems(shop.db, [...new Set(lines.map((line) => line.itemId))]).map((item) => [item.id, item]));

export type TextPlacer = {
  /** Drawings that the texts became. */
  readonly artworkIds: readonly number[];
  readonly place: (line: TextLine) => (made: Made) => Made;
};

/**
 * Puts texts in the places of the samples. A place whose text says nothing is left out of the piece. Texts must have
 * been set before: one that was not is left out, too.
 */
export function makeTextPlacer(
  shop: ShopContext,
  lines: readonly TextLine[],
  items: ReadonlyMap<number, StoredItem>,
): TextPlacer {
  const keys = lines.flatMap((line) => {
    const item = items.get(line.itemId);
    return item ? listWishes(item, line).map(keyOfWish) : [];
  });
  const kept = findLetterings(shop.db, [...new Set(keys)]);
  return {
    artworkIds: [...kept.values()].map(({ artworkId }) => artworkId),
    place: (line) => (made) => placeLine(made, line.texts ?? [], kept),
  };
}

function placeLine(made: Made, texts: readonly LineText[], kept: ReadonlyMap<string, KeptLettering>): Made {
  const byLabel = new Map(texts.map((text) => [text.label, text]));
  return placeTexts(made, (lettering) => {
    const own = byLabel.get(lettering.label);
    if (!own) return null;
    const set = kept.get(keyOfWish({ text: own.text, lettering, smaller: own.smaller ?? false }));
    return set ? { artworkId: set.artworkId, widthMm: set.fit.widthMm, text: own.text } : null;
  });
}
