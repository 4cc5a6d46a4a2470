// The tables, a file for each aggregate. What people edit has a version; facts that happen (events, sessions, the
// ledger) are only ever added.

export * from './shop';
export * from './people';
export * from './shelf';
export * from './artworks';
export * from './items';
export * from './channels';
export * from './quotes';
export * from './start-plan';
export * from './cut-sheets';
export * from './orders';
export * from './work-sessions';
export * from './part-events';
export * from './suppliers';
export * from './stock';
export * from './supplies';
export * from './purchases';
export * from './taken-requests';
export * from './evidence';
export * from './item-costs';
export * from './feeds';
export * from './cutting';
export * from './press-looks';
export * from './trials';
