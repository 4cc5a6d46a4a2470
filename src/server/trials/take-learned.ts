// What the log teaches becomes the shop's own figures, and goes back to what they were.

import { inTransaction } from '../../data/database';
import { dropTaken, findTaken, keepTaken, type Taken } from '../../data/learned-store';
import { findVinyls, setWeedingFactor } from '../../data/shelf-store';
import { updateShop } from '../../data/shop-store';
import type { LearnedStation } from '../../views/trials';
import { getShop, type ShopContext } from '../context';
import { ShopError, stale } from '../errors';

/** From now on it is calculated with. @throws ShopError where nothing is known yet */
export function takeLearned(shop: ShopContext, learned: LearnedStation): void {
  const { station, factors, logs } = learned;
  const people = learned.people.map(({ personId, now }) => ({ personId, now: now.value }));
  const figures = [...learned.figures, ...learned.bands];
  if (figures.length === 0) throw new ShopError('conflict', { reason: 'nothing-learned' });
  inTransaction(shop.db, () => {
    const before = findTaken(shop.db, station);
    const changes = figures.map(({ key, was, now }) => ({ key, was: wasOf(before, key) ?? was, now: now.value }));
    const vinyls = factors.map(({ vinylId, was, now }) => ({
      vinylId,
      was: before?.vinyls.find((one) => one.vinylId === vinylId)?.was ?? was,
      now: now.value,
    }));
    setFigures(
      shop,
      changes.map(({ key, now }) => [key, now]),
    );
    for (const { vinylId, now } of vinyls) setWeedingFactor(shop.db, vinylId, now);
    const older = before?.vinyls.filter((one) => !vinyls.some(({ vinylId }) => vinylId === one.vinylId)) ?? [];
    keepTaken(shop.db, {
      station,
      takenAtMs: shop.now(),
      logs,
      figures: changes,
      vinyls: [...vinyls, ...older],
      people,
    });
  });
}

/** Taken twice, what was before the first time is kept. */
const wasOf = (before: Taken | null, key: string): number | undefined =>
  before?.figures.find((one) => one.key === key)?.was;

/** As it was before; what the seller changed since stays as it is. */
export function putLearnedBack(shop: ShopContext, station: LearnedStation['station']): void {
  inTransaction(shop.db, () => {
    const taken = findTaken(shop.db, station);
    if (!taken) return;
    const { figures } = getShop(shop);
    setFigures(
      shop,
      taken.figures.filter(({ key, now }) => figures[key] === now).map(({ key, was }) => [key, was]),
    );
    const vinyls = new Map(
      findVinyls(
        shop.db,
        taken.vinyls.map(({ vinylId }) => vinylId),
      ).map((vinyl) => [vinyl.id, vinyl]),
    );
    for (const { vinylId, was, now } of taken.vinyls)
      if (vinyls.get(vinylId)?.weedingFactor === now) setWeedingFactor(shop.db, vinylId, was);
    dropTaken(shop.db, station);
  });
}

function setFigures(shop: ShopContext, changes: readonly (readonly [string, number])[]): void {
  const { figures, version, simulated: _simulated, confirmed: _confirmed, ...identity } = getShop(shop);
  if (!updateShop(shop.db, identity, { ...figures, ...Object.fromEntries(changes) }, version))
    throw stale('The shop’s figures');
}
