// Sizes as people write them, and as the blank calls them.

const WORDS: Readonly<Record<string, string>> = {
  'extra small': 'xs',
  small: 's',
  medium: 'm',
  med: 'm',
  large: 'l',
  'extra large': 'xl',
};

/** One way of writing for all that mean the same: "XX-Large", "2X" and "XXL" are "2xl". */
export function plainSize(written: string): string {
  const spaced = written
    .trim()
    .toLowerCase()
    .replace(/[\s_-]+/g, ' ');
  const word = WORDS[spaced] ?? spaced.replace(/ ?(small|medium|large)$/, (whole) => WORDS[whole.trim()] ?? whole);
  const bare = word.replaceAll(' ', '');
  const many = /^(x{1,6})([sl])$/.exec(bare);
  if (many) return nameLarge(many[1]!.length, many[2]!);
  const counted = /^(\d{1,2})x([sl]?)$/.exec(bare);
  return counted ? nameLarge(Number(counted[1]), counted[2] || 'l') : bare;
}

const nameLarge = (count: number, end: string): string => (count === 1 ? `x${end}` : `${count}x${end}`);

/**
 * The size that is meant, as the blank calls it: written alike but for capitals, else another common way to write the
 * same; null where it has none such, or two.
 */
export function findSizeName(written: string, sizes: readonly string[]): string | null {
  const wanted = written.trim().toLowerCase();
  const exact = sizes.find((size) => size.toLowerCase() === wanted);
  if (exact !== undefined) return exact;
  const [meant, other] = sizes.filter((size) => plainSize(size) === plainSize(written));
  return other === undefined ? (meant ?? null) : null;
}
