import { describe, expect, it } from 'vitest';
import { findSizeName } from './index';

const SIZES = ['S', 'M', 'L', 'XL', 'XXL', '3XL', 'one size', '128'];

describe('findSizeName', () => {
  it.each([
    ['m', 'M'],
    [' Large ', 'L'],
    ['Extra Large', 'XL'],
    ['extra-large', 'XL'],
    ['X-Large', 'XL'],
    ['2XL', 'XXL'],
    ['2x', 'XXL'],
    ['XX-Large', 'XXL'],
    ['xxxl', '3XL'],
    ['One Size', 'one size'],
    ['128', '128'],
  ])('%s is %s', (written, own) => expect(findSizeName(written, SIZES)).toBe(own));

  it.each(['4XL', 'XS', 'huge', '', '12'])('%s is none of them', (written) =>
    expect(findSizeName(written, SIZES)).toBeNull(),
  );

  it('does not choose between two that are the same to others', () => {
    expect(findSizeName('2x', ['XXL', '2XL'])).toBeNull();
    expect(findSizeName('2xl', ['XXL', '2XL'])).toBe('2XL');
  });
});
