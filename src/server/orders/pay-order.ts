// Money of an order: what is paid, given back, or given on top.

import type { InferType } from 'yup';
import type { paymentInput } from '../../core/input/index';
import { minor } from '../../core/units/index';
import { inTransaction } from '../../data/database';
import { findPayment, insertPayment, takePaymentBack } from '../../data/payment-store';
import { getSettings, type ShopContext } from '../context';
import { notFound, ShopError } from '../errors';
import { closeWhenPaid } from './move-order';
import { requireStandingOrder } from './save-order';

/** @throws ShopError where more would go back than was paid */
export function addPayment(shop: ShopContext, orderId: number, input: InferType<typeof paymentInput>): { id: number } {
  return inTransaction(shop.db, () => {
    const { order } = requireStandingOrder(shop, orderId);
    if (input.kind === 'refund' && input.amount > order.paid)
      throw new ShopError(
        'conflict',
        { reason: 'refund-too-much', paid: order.paid, settings: getSettings(shop) },
        'amount',
      );
    const id = insertPayment(shop.db, { ...input, orderId, amount: minor(input.amount), atMs: shop.now() });
    closeWhenPaid(shop, requireStandingOrder(shop, orderId));
    return { id };
  });
}

/** It was entered wrongly: it stays on the book, struck through. */
export function takeBackPayment(shop: ShopContext, id: number): { orderId: number } {
  return inTransaction(shop.db, () => {
    const payment = findPayment(shop.db, id);
    if (!payment) throw notFound('This payment');
    if (!takePaymentBack(shop.db, payment, shop.now()))
      throw new ShopError('conflict', { reason: 'payment-taken-back' });
    return { orderId: payment.orderId };
  });
}
