import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { PrintArea } from '../materials';
import { minor } from '../units';
import { proposeWidths, shareWidths, type PlacingBlank, type WantedWidth } from './index';

const sized = (...names: readonly string[]): PlacingBlank['sizes'] =>
  names.map((name) => ({ name, price: minor(500) }));
const SHIRT: PlacingBlank = { name: 'Cotton T-shirt', sizes: sized('S', 'M', '3XL', '104'), areas: [] };

describe('widths by size', () => {
  const wish = {
    blank: SHIRT,
    spot: 'front',
    place: 'front',
    aspect: 0.8,
    chosen: null,
    platenWidthMm: 400,
    vinylWidthMm: null,
  } as const;
  const widthsOf = (more: Partial<Parameters<typeof proposeWidths>[0]> = {}) =>
    proposeWidths({ ...wish, ...more }).map(({ sizeName, widthMm, limit }) => [sizeName, widthMm, limit]);

  it('are scaled by the blank: S and M share one, a 3XL and a child have their own', () => {
    // 265 on M (510): S 248.9, 3XL 328.4, child 104: 187.1.
    expect(widthsOf()).toEqual([
      ['S', 255, null],
      ['M', 255, null],
      ['3XL', 330, null],
      ['104', 185, null],
    ]);
  });

  it('follow the width that was chosen for one size', () => {
    const [small, middle] = proposeWidths({ ...wish, chosen: { sizeName: 'M', widthMm: 200 } });
    expect(middle!.ideal.value).toBe(200);
    expect(small!.ideal.value).toBeCloseTo((200 * 479) / 510, 9);
    // S takes 199.1 at most, so that both share 195; a chosen width that all can have is kept as it is.
    expect([small!.widthMm, middle!.widthMm]).toEqual([195, 195]);
    const alike = { ...SHIRT, sizes: sized('M', 'medium') };
    expect(widthsOf({ blank: alike, chosen: { sizeName: 'M', widthMm: 72 } }).map(([, width]) => width)).toEqual([
      72, 72,
    ]);
  });

  it('are held back by the platen, the vinyl, the area and what a hat holds', () => {
    expect(widthsOf({ platenWidthMm: 300 })[2]).toEqual(['3XL', 300, 'platen']);
    expect(widthsOf({ vinylWidthMm: 290 })[2]).toEqual(['3XL', 290, 'vinyl']);
    const area: PrintArea = {
      name: 'front',
      sizeName: '',
      datum: 'neckline',
      dropMm: 75,
      widthMm: 300,
      heightMm: 200,
      obstacles: [],
      curve: null,
    };
    expect(widthsOf({ blank: { ...SHIRT, areas: [area] } })[1]).toEqual(['M', 250, 'area height']);
    const hat: PlacingBlank = { name: 'Cap', sizes: sized('one size'), areas: [] };
    expect(widthsOf({ blank: hat, spot: 'hat front' })).toEqual([['one size', 70, 'place height']]);
  });

  it('are as few as can be, as trying every way of sharing them finds', () => {
    const wished = fc
      .record({ idealMm: fc.integer({ min: 60, max: 330 }), held: fc.boolean() })
      .map(({ idealMm, held }): WantedWidth => ({ idealMm, mostMm: held ? idealMm : Infinity }));
    fc.assert(
      fc.property(fc.array(wished, { minLength: 1, maxLength: 6 }), (wishes) => {
        const widths = shareWidths(wishes, 0.06);
        for (const [index, { idealMm, mostMm }] of wishes.entries()) {
          expect(Math.abs(widths[index]! / idealMm - 1)).toBeLessThanOrEqual(0.06 + 1e-9);
          expect(widths[index]!).toBeLessThanOrEqual(mostMm);
        }
        expect(new Set(widths).size).toBeLessThanOrEqual(fewestGroups(wishes, 0.06));
      }),
    );
  });
});

/** Every partition, by giving each wish to one of the groups there are or to a new one. */
function fewestGroups(wishes: readonly WantedWidth[], tolerance: number): number {
  const fits = (group: readonly WantedWidth[]) =>
    Math.max(...group.map(({ idealMm }) => idealMm * (1 - tolerance))) <=
    Math.min(...group.map(({ idealMm, mostMm }) => Math.min(mostMm, idealMm * (1 + tolerance))));
  const search = (at: number, groups: readonly (readonly WantedWidth[])[]): number => {
    if (at === wishes.length) return groups.every(fits) ? groups.length : Infinity;
    const own = wishes[at]!;
    return Math.min(
      search(at + 1, [...groups, [own]]),
      ...groups.map((_, index) =>
        search(
          at + 1,
          groups.map((group, other) => (other === index ? [...group, own] : group)),
        ),
      ),
    );
  };
  return search(0, []);
}
