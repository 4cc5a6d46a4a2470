// What a blank looks like laid flat: which outline is drawn of it, and how large it ordinarily is.

export const BLANK_SHAPES = [
  't-shirt',
  'hoodie',
  'jacket',
  'apron',
  'bag',
  'hat',
  'trousers',
  'bandana',
  'cloth',
  'cup',
  'tin',
  'flat thing',
] as const;
export type BlankShape = (typeof BLANK_SHAPES)[number];

type ShapeFacts = {
  /** Laid flat, of the middle size, mm: chest or widest place, and from top to hem. Of a round wall: the way round. */
  readonly widthMm: number;
  readonly lengthMm: number;
  /** How much wider and longer each size is than the one before, as a share of the middle one. */
  readonly growth: { readonly width: number; readonly length: number };
  /** Worn on a body: sizes by age or height are children’s. */
  readonly worn: boolean;
  /** Words by which a name tells it. */
  readonly words: readonly string[];
};

const BODY_GROWTH = { width: 0.06, length: 0.03 };
const NO_GROWTH = { width: 0, length: 0 };
export const SHAPE_FACTS: Readonly<Record<BlankShape, ShapeFacts>> = {
  't-shirt': {
    widthMm: 510,
    lengthMm: 720,
    growth: BODY_GROWTH,
    worn: true,
    words: ['shirt', 'tee', 'top', 'vest', 'polo', 'jersey', 'dress', 'bodysuit'],
  },
  hoodie: {
    widthMm: 560,
    lengthMm: 690,
    growth: BODY_GROWTH,
    worn: true,
    words: ['hoodie', 'hooded', 'hoody', 'sweatshirt', 'sweater', 'jumper', 'pullover'],
  },
  jacket: {
    widthMm: 560,
    lengthMm: 740,
    growth: BODY_GROWTH,
    worn: true,
    words: ['jacket', 'coat', 'parka', 'anorak', 'gilet', 'cardigan', 'overall'],
  },
  apron: { widthMm: 680, lengthMm: 860, growth: BODY_GROWTH, worn: false, words: ['apron', 'bib'] },
  bag: {
    widthMm: 380,
    lengthMm: 420,
    growth: { width: 0.15, length: 0.15 },
    worn: false,
    words: ['bag', 'tote', 'sack', 'pouch', 'backpack'],
  },
  hat: { widthMm: 190, lengthMm: 105, growth: BODY_GROWTH, worn: false, words: ['hat', 'cap', 'beanie', 'visor'] },
  trousers: {
    widthMm: 420,
    lengthMm: 1020,
    growth: BODY_GROWTH,
    worn: true,
    words: ['trousers', 'pants', 'leggings', 'jeans', 'shorts', 'joggers'],
  },
  bandana: {
    widthMm: 480,
    lengthMm: 250,
    growth: { width: 0.22, length: 0.22 },
    worn: false,
    words: ['bandana', 'neckerchief', 'scarf'],
  },
  cloth: {
    widthMm: 500,
    lengthMm: 700,
    growth: NO_GROWTH,
    worn: false,
    words: ['towel', 'cloth', 'blanket', 'cushion', 'pillow', 'napkin', 'banner', 'flag'],
  },
  cup: { widthMm: 251, lengthMm: 90, growth: NO_GROWTH, worn: false, words: ['cup', 'mug', 'tumbler', 'beaker'] },
  tin: {
    widthMm: 270,
    lengthMm: 90,
    growth: { width: 0.15, length: 0.15 },
    worn: false,
    words: ['tin', 'jar', 'bottle', 'flask', 'glass', 'can', 'vase', 'candle'],
  },
  'flat thing': { widthMm: 300, lengthMm: 210, growth: NO_GROWTH, worn: false, words: [] },
};

/**
 * The shape that a blank’s name tells; a word counts as it is or in the plural, the last one of the name first, as in
 * “tea towel bag”.
 */
export function guessShape(name: string): BlankShape {
  const words = name
    .toLowerCase()
    .split(/[^\p{L}-]+/u)
    .reverse();
  for (const word of words) {
    const found = BLANK_SHAPES.find((shape) =>
      SHAPE_FACTS[shape].words.some((own) => word === own || word === `${own}s` || word.endsWith(`-${own}`)),
    );
    if (found) return found;
  }
  return (
    BLANK_SHAPES.find((shape) => SHAPE_FACTS[shape].words.some((own) => name.toLowerCase().includes(own))) ??
    'flat thing'
  );
}
