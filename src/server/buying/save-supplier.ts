// Suppliers: added, changed, archived.

import type { InferType } from 'yup';
import type { supplierInput } from '../../core/input';
import { minor, type Minor } from '../../core/units';
import type { ShopContext } from '../context';
import { notFound, ShopError, stale } from '../errors';
import { added, changed, type Saved } from '../saved';
import {
  findSupplier,
  insertSupplier,
  isSupplierNamed,
  setSupplierArchived,
  updateSupplier,
} from '../../data/supplier-store';

const optionalMinor = (value: number | null): Minor | null => (value === null ? null : minor(value));
function toFields(shop: ShopContext, input: InferType<typeof supplierInput>, exceptId: number) {
  if (isSupplierNamed(shop.db, input.name, exceptId))
    throw new ShopError('conflict', { reason: 'name-taken', what: 'supplier', name: input.name }, 'name');
  return {
    name: input.name,
    email: input.email,
    shipping: minor(input.shipping),
    freeFrom: optionalMinor(input.freeFrom),
    minimumOrder: optionalMinor(input.minimumOrder),
    leadDays: input.leadDays,
  };
}

export const addSupplier = (
  shop: ShopContext,
  input: InferType<typeof supplierInput>,
  listFile: string | null = null,
): Saved => added(insertSupplier(shop.db, { ...toFields(shop, input, 0), listFile }));

export function changeSupplier(
  shop: ShopContext,
  id: number,
  input: InferType<typeof supplierInput>,
  version: number,
): Saved {
  if (!findSupplier(shop.db, id)) throw notFound('This supplier');
  if (!updateSupplier(shop.db, id, toFields(shop, input, id), version)) throw stale('This supplier');
  return changed(id, version);
}

export function archiveSupplier(shop: ShopContext, id: number, archived: boolean): void {
  if (!setSupplierArchived(shop.db, id, archived ? shop.now() : null)) throw notFound('This supplier');
}
