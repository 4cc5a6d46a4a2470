// The papers of an order, as they are called.

export const ORDER_PAPERS = {
  quote: 'Quote',
  confirmation: 'Confirmation',
  ticket: 'Job ticket',
  'packing-slip': 'Packing slip',
  labels: 'Labels',
  'care-cards': 'Care cards',
  statement: 'Statement',
} as const;
export type OrderPaper = keyof typeof ORDER_PAPERS;

export const isOrderPaper = (name: string): name is OrderPaper => Object.hasOwn(ORDER_PAPERS, name);
