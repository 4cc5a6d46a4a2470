import { describe, expect, it } from 'vitest';
import { decideCare } from './care';

const garment = { fabric: 'cotton', heating: 'flat' } as const;

describe('the care of a piece', () => {
  it('of fabric with a pressed print is washed inside out, and never ironed over', () => {
    expect(decideCare(garment, ['smooth', 'permanent'])).toEqual([
      'rest-a-day',
      'wash-inside-out-30',
      'no-tumble',
      'no-iron-on-print',
      'no-dry-cleaning',
    ]);
  });

  it('of leather-look, or with a print that was only stuck on, is wiped', () => {
    expect(decideCare({ fabric: 'leather-look', heating: 'flat' }, ['smooth'])).toEqual(['rest-a-day', 'wipe-only']);
    expect(decideCare(garment, ['permanent'])).toEqual(['rest-a-day', 'wipe-only']);
  });

  it('of a cup is washed by hand, clear of lip and food; of a tin without that', () => {
    expect(decideCare({ fabric: 'enamel', heating: 'wrap' }, ['smooth'])).toEqual([
      'rest-a-day',
      'hand-wash',
      'no-dishwasher',
      'off-the-lip',
    ]);
    expect(decideCare({ fabric: 'glass-tin', heating: 'none' }, ['permanent'])).not.toContain('off-the-lip');
  });

  it('of wood is wiped, never soaked', () => {
    expect(decideCare({ fabric: 'wood', heating: 'flat' }, ['smooth'])).toEqual(['rest-a-day', 'wipe-only']);
  });
});
