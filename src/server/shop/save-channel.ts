// Channels: added, changed, taken off the list.
import { added, changed, type Saved } from '../saved';
import type { InferType } from 'yup';
import type { channelInput } from '../../core/input/index';
import { minor } from '../../core/units/index';
import {
  findChannelName,
  insertChannel,
  loadChannels,
  isChannelNamed,
  setChannelArchived,
  updateChannel,
  type ChannelFields,
} from '../../data/channel-store';
import type { ShopContext } from '../context';
import { notFound, ShopError, stale } from '../errors';
import type { ChannelView } from '../../views/channels';

type Input = InferType<typeof channelInput>;

function requireFree(shop: ShopContext, name: string, exceptId: number): void {
  if (isChannelNamed(shop.db, name, exceptId))
    throw new ShopError('conflict', { reason: 'name-taken', what: 'channel', name }, 'name');
}

function toFields(shop: ShopContext, input: Input, exceptId: number): ChannelFields {
  requireFree(shop, input.name, exceptId);
  return {
    ...input,
    fixed: minor(input.fixed),
    listing: minor(input.listing),
    paymentFixed: minor(input.paymentFixed),
    day: minor(input.day),
    delivery: minor(input.delivery),
    deliveryPaid: minor(input.deliveryPaid),
    tiers: input.tiers.map((tier) => ({ from: minor(tier.from), share: tier.share })),
  };
}

export const addChannel = (shop: ShopContext, input: Input): Saved =>
  added(insertChannel(shop.db, toFields(shop, input, 0)));

export function changeChannel(shop: ShopContext, id: number, input: Input, version: number): Saved {
  if (!updateChannel(shop.db, id, toFields(shop, input, id), version)) throw stale('This channel');
  return changed(id, version);
}

export function archiveChannel(shop: ShopContext, id: number, archived: boolean): void {
  const name = findChannelName(shop.db, id);
  if (name === null) throw notFound('This channel');
  if (!archived) requireFree(shop, name, id);
  setChannelArchived(shop.db, id, archived ? shop.now() : null);
}

export const listChannels = (shop: ShopContext): readonly ChannelView[] => loadChannels(shop.db);
