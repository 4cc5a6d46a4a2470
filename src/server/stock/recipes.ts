// Recipes: the shop's own way to press a vinyl on a fabric, what was seen of it since, and settings of the cutter.

import type { InferType } from 'yup';
import { isWornPast } from '../../core/cutting/index';
import type { lookInput, presetInput, recipeChange } from '../../core/input/index';
import { getKindFacts, getPressSetting, type Fabric } from '../../core/materials/index';
import { sumLooks } from '../../core/pressing/index';
import { dayOf, groupBy } from '../../core/units/index';
import { inTransaction } from '../../data/database';
import { deleteLook, insertLook, loadLooks, type StoredLook } from '../../data/press-look-store';
import { deletePreset, keepPreset, loadPresets, type StoredPreset } from '../../data/preset-store';
import {
  findVinyl,
  findVinyls,
  listFirstVinyls,
  listVinylsWithOwnPress,
  updateVinyl,
  type StoredVinyl,
} from '../../data/shelf-store';
import type { PresetRow, RecipeRow, RecipesView } from '../../views/recipes';
import { getShop, type ShopContext } from '../context';
import { findBlade } from '../cutting/begin-load';
import { notFound, ShopError, stale } from '../errors';
import { changed, type Saved } from '../saved';

/** Shown at once; older looks still count for nothing here, since a vinyl seldom has as many. */
const MOST_LOOKS = 2000;
const MOST_PRESETS = 500;
const LISTED_VINYLS = 60;
const LATEST = 6;

const keyOf = (vinylId: number, fabric: Fabric): string => `${vinylId} ${fabric}`;

export function loadRecipes(shop: ShopContext): RecipesView {
  const looks = groupBy(loadLooks(shop.db, MOST_LOOKS), (look) => keyOf(look.vinylId, look.fabric));
  const withOwn = listVinylsWithOwnPress(shop.db);
  const seenIds = [...looks.values()].map(([first]) => first!.vinylId);
  const vinyls = new Map([...withOwn, ...findVinyls(shop.db, [...new Set(seenIds)])].map((vinyl) => [vinyl.id, vinyl]));
  const pairs = new Map<string, readonly [StoredVinyl, Fabric]>();
  for (const vinyl of withOwn)
    for (const fabric of Object.keys(vinyl.details.ownPress) as Fabric[])
      pairs.set(keyOf(vinyl.id, fabric), [vinyl, fabric]);
  for (const [first] of looks.values()) {
    const vinyl = vinyls.get(first!.vinylId);
    if (vinyl) pairs.set(keyOf(vinyl.id, first!.fabric), [vinyl, first!.fabric]);
  }
  const listed = listFirstVinyls(shop.db, LISTED_VINYLS + 1);
  const rows = [...pairs].map(([key, [vinyl, fabric]]) => toRow(vinyl, fabric, looks.get(key) ?? []));
  return {
    rows: rows.sort((a, b) => a.vinylName.localeCompare(b.vinylName) || a.fabric.localeCompare(b.fabric)),
    presets: loadPresetRows(shop),
    more: listed.length > LISTED_VINYLS,
    vinyls: listed
      .slice(0, LISTED_VINYLS)
      .filter(({ kind }) => getKindFacts(kind).family === 'heat')
      .map(({ id, name, version }) => ({ id, name, version })),
    today: dayOf(shop.now(), getShop(shop).timeZone),
  };
}

function toRow(vinyl: StoredVinyl, fabric: Fabric, looks: readonly StoredLook[]): RecipeRow {
  return {
    vinylId: vinyl.id,
    vinylName: vinyl.name,
    colourHex: vinyl.colourHex,
    version: vinyl.version,
    fabric,
    maker: getPressSetting(vinyl, fabric),
    own: vinyl.details.ownPress[fabric] ?? null,
    sum: sumLooks(looks),
    looks: looks.slice(0, LATEST).map(({ vinylId: _vinylId, fabric: _fabric, ...look }) => look),
  };
}

function loadPresetRows(shop: ShopContext): readonly PresetRow[] {
  const metres = findBlade(shop)?.metres ?? 0;
  return loadPresets(shop.db, MOST_PRESETS).map(({ preset, vinylName, colourHex }) => {
    return { ...preset, vinylName, colourHex, isWornPast: isWornPast(preset, metres) };
  });
}

/** Kept with the vinyl, so that whatever is costed or pressed with it follows. @throws ShopError */
export function changeRecipe(
  shop: ShopContext,
  { vinylId, fabric, own }: InferType<typeof recipeChange>,
  version: number,
): Saved {
  const vinyl = findVinyl(shop.db, vinylId);
  if (!vinyl) throw notFound('This vinyl');
  if (getKindFacts(vinyl.kind).family !== 'heat')
    throw new ShopError('invalid', { reason: 'not-pressed', vinyl: vinyl.name }, 'vinylId');
  const { id: _id, version: _version, archived: _archived, ...fields } = vinyl;
  const { [fabric]: _before, ...others } = vinyl.details.ownPress;
  const details = { ...vinyl.details, ownPress: own ? { ...others, [fabric]: own } : others };
  if (!updateVinyl(shop.db, vinylId, { ...fields, details }, version)) throw stale('This vinyl');
  return changed(vinylId, version);
}

/** @throws ShopError where the vinyl is gone, or the day is still to come */
export function addLook(shop: ShopContext, look: InferType<typeof lookInput>): { readonly id: number } {
  if (!findVinyl(shop.db, look.vinylId)) throw notFound('This vinyl');
  if (look.day > dayOf(shop.now(), getShop(shop).timeZone))
    throw new ShopError('invalid', { reason: 'day-to-come' }, 'day');
  return { id: insertLook(shop.db, look) };
}

/** What it told no longer counts. @throws ShopError not-found */
export function removeLook(shop: ShopContext, id: number): void {
  if (!deleteLook(shop.db, id)) throw notFound('What was seen');
}

/** One of that name for that vinyl takes its place. @throws ShopError where the vinyl is gone */
export function savePreset(shop: ShopContext, preset: InferType<typeof presetInput>): { readonly id: number } {
  if (!findVinyl(shop.db, preset.vinylId)) throw notFound('This vinyl');
  const bladeMetres = findBlade(shop)?.metres ?? 0;
  return { id: inTransaction(shop.db, () => keepPreset(shop.db, { ...preset, bladeMetres, savedAtMs: shop.now() })) };
}

/** What was removed, to put it back. @throws ShopError not-found */
export function removePreset(shop: ShopContext, id: number): StoredPreset {
  const removed = deletePreset(shop.db, id);
  if (!removed) throw notFound('This setting');
  return removed;
}
