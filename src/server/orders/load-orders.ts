// Rows of orders: how far each is, what it waits for, by when.

import { findSlowest, getOwed, isOver } from '../../core/orders/index';
import { groupBy, type Figure } from '../../core/units/index';
import { nameVinyls, type NamedVinyl } from '../../data/shelf-store';
import type { CombColumn, OrderRow } from '../../views/orders';
import type { ShopContext } from '../context';
import type { WaitingOrder, WaitingPart } from './read-orders';
import { UNCHOSEN } from '../../theme/tokens';
import { plural } from '../../wording/plural';

/** More are neither told apart by eye nor held by a list. */
const MOST_COLUMNS = 60;

export function toComb(parts: readonly WaitingPart[], colours: ReadonlyMap<number, string>): readonly CombColumn[] {
  const pieces = [...groupBy(parts, (part) => part.pieceId).values()];
  const together = Math.ceil(pieces.length / MOST_COLUMNS);
  return Array.from({ length: Math.ceil(pieces.length / Math.max(1, together)) }, (_, at) =>
    toColumn(pieces.slice(at * together, (at + 1) * together), colours),
  );
}

/** Pieces beside one another, each tooth as far as the slowest of them. */
function toColumn(pieces: readonly (readonly WaitingPart[])[], colours: ReadonlyMap<number, string>): CombColumn {
  const longest = pieces.reduce((most, piece) => (piece.length > most.length ? piece : most));
  const [first] = pieces[0]!;
  return {
    pieceId: first!.pieceId,
    number: first!.pieceNumber,
    pieces: pieces.length,
    teeth: longest.map((part, at) => {
      const alike = pieces.flatMap((piece) => piece[at] ?? []);
      return {
        partId: part.id,
        state: findSlowest(alike.map(({ state }) => state)),
        broken: alike.some(({ broken }) => broken),
        colour: colours.get(part.vinylId) ?? UNCHOSEN.grey,
      };
    }),
  };
}

/** The station where most of an order waits: what to do so that it moves. */
function describeWaitingFor({ stage, parts }: WaitingOrder, vinylNames: ReadonlyMap<number, string>): string {
  if (stage === 'wish') return 'a quote';
  if (stage === 'quoted') return 'the customer’s yes';
  if (stage === 'on-hold') return 'on hold';
  if (stage === 'ready') return 'to be collected';
  if (isOver(stage)) return '';
  const broken = parts.filter((part) => part.broken);
  if (broken.length > 0) return `recut ${broken.length} in ${vinylNames.get(broken[0]!.vinylId) ?? 'its vinyl'}`;
  const slowest = (['to-cut', 'cut', 'weeded', 'pressed'] as const)
    .map((state) => ({ state, waiting: parts.filter((part) => part.state === state) }))
    .find(({ waiting }) => waiting.length > 0);
  if (!slowest) return '';
  const verbs = { 'to-cut': 'cut', cut: 'weed', weeded: 'press', pressed: 'check' } as const;
  const count =
    slowest.state === 'to-cut' || slowest.state === 'cut'
      ? plural(slowest.waiting.length, 'part')
      : plural(new Set(slowest.waiting.map((part) => part.pieceId)).size, 'piece');
  return `${verbs[slowest.state]} ${count}`;
}

export function toRows(
  shop: ShopContext,
  entries: readonly WaitingOrder[],
  slack: ReadonlyMap<number, Figure>,
): readonly OrderRow[] {
  const vinyls = findVinylsOf(shop, entries);
  const colours = new Map(vinyls.map((vinyl) => [vinyl.id, vinyl.colourHex]));
  const names = mapNames(vinyls);
  return entries.map((entry) => ({
    id: entry.order.id,
    title: entry.order.title,
    customerName: entry.order.customer.name,
    dueDay: entry.order.dueDay,
    stage: entry.stage,
    agreed: entry.order.agreed,
    owed: getOwed(entry.order),
    neededSeconds: entry.neededSeconds,
    slack: slack.get(entry.order.id) ?? null,
    comb: toComb(entry.parts, colours),
    waitingFor: describeWaitingFor(entry, names),
  }));
}

/** In words, what each of these orders waits for. */
export function describeWaiting(shop: ShopContext, entries: readonly WaitingOrder[]): (entry: WaitingOrder) => string {
  const names = mapNames(findVinylsOf(shop, entries));
  return (entry) => describeWaitingFor(entry, names);
}

const mapNames = (vinyls: readonly NamedVinyl[]) => new Map(vinyls.map(({ id, name }) => [id, name]));

export const findVinylsOf = (shop: ShopContext, entries: readonly WaitingOrder[]): readonly NamedVinyl[] =>
  nameVinyls(shop.db, [...new Set(entries.flatMap(({ parts }) => parts.map((part) => part.vinylId)))]);
