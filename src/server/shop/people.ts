// Who works in the shop: added, gone, back again.

import type { InferType } from 'yup';
import type { personInput } from '../../core/input/index';
import type { Station } from '../../core/orders/index';
import { inTransaction } from '../../data/database';
import { findTaken } from '../../data/learned-store';
import { findGone, insertPerson, listPeople, setPersonArchived, type StoredPerson } from '../../data/people-store';
import type { TakenPace } from '../../data/schema';
import type { ShopContext } from '../context';
import { notFound, ShopError } from '../errors';

export const readPeople = ({ db }: ShopContext): readonly StoredPerson[] => listPeople(db);

/** One who was here before comes back with all that was logged. @throws ShopError where that name is taken */
export function addPerson(shop: ShopContext, { name }: InferType<typeof personInput>): { readonly id: number } {
  return inTransaction(shop.db, () => {
    if (listPeople(shop.db).some((person) => person.name === name))
      throw new ShopError('conflict', { reason: 'person-here', name }, 'name');
    const gone = findGone(shop.db, name);
    if (!gone) return { id: insertPerson(shop.db, name) };
    setPersonArchived(shop.db, gone.id, null);
    return { id: gone.id };
  });
}

/** What was logged stays theirs. @throws ShopError not-found */
export function removePerson(shop: ShopContext, id: number): StoredPerson {
  const person = findPerson(shop, id);
  setPersonArchived(shop.db, id, shop.now());
  return person;
}

/** @throws ShopError not-found when it is nobody who works here */
export function findPerson({ db }: ShopContext, id: number): StoredPerson {
  const person = listPeople(db).find((one) => one.id === id);
  if (!person) throw notFound('This person');
  return person;
}

/**
 * What each takes against what is calculated, where that was taken from the log. At the weeding table only: it is all
 * hands there, while the cutter and a closed press take as long for anybody.
 */
export const listPaces = ({ db }: ShopContext, station: Station): readonly TakenPace[] =>
  station === 'weed' ? (findTaken(db, station)?.people ?? []) : [];

/** As long as anybody, where nothing is known of one. */
export const paceOf = (shop: ShopContext, station: Station, personId: number | null): number =>
  listPaces(shop, station).find((one) => one.personId === personId)?.now ?? 1;
