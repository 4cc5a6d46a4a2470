// Channels. Types only.

import type { Channel } from '../core/pricing';

export type ChannelView = Channel & { readonly version: number };
