// Whom an order is for. People who share a name are told apart by how they are reached, and never made one silently.

import { findCustomer, findCustomersNamed, insertCustomer, setCustomerContact } from '../../data/customer-store';
import type { ShopContext } from '../context';
import { notFound, ShopError } from '../errors';

export type WhoOrders = { readonly customerId?: number | null; readonly name: string; readonly contact: string };

/**
 * The id of the customer. One that was chosen is taken as chosen. Else by name and contact: the same contact is the
 * same person; another contact is somebody else; without any, the only one of that name.
 *
 * @throws ShopError where several bear the name and no contact says which
 */
export function ensureCustomer(shop: ShopContext, { customerId, name, contact }: WhoOrders): number {
  if (customerId) {
    const chosen = findCustomer(shop.db, customerId);
    if (!chosen) throw notFound('This customer');
    if (contact !== '' && contact !== chosen.contact) setCustomerContact(shop.db, chosen.id, contact);
    return chosen.id;
  }
  const named = findCustomersNamed(shop.db, name);
  const wanted = normalise(contact);
  const same = wanted === '' ? undefined : named.find((one) => normalise(one.contact) === wanted);
  if (same) return same.id;
  if (wanted === '') {
    if (named.length > 1)
      throw new ShopError(
        'conflict',
        { reason: 'which-customer', name, contacts: named.map((one) => one.contact) },
        'contact',
      );
    if (named.length === 1) return named[0]!.id;
  }
  // The only one of that name, of whom nobody knew yet how to reach them.
  const unreached = named.length === 1 && named[0]!.contact === '' ? named[0]! : null;
  if (unreached) {
    setCustomerContact(shop.db, unreached.id, contact);
    return unreached.id;
  }
  return insertCustomer(shop.db, { name, contact, address: '', note: '' });
}

const normalise = (contact: string): string => contact.trim().toLowerCase();
