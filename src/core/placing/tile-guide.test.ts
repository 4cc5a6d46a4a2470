import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { listGlueMarks, tileGuide, TILE_OVERLAP_MM } from './index';

describe('the printed guide', () => {
  it('covers every place of it, neighbours over one another, none wider than the paper’s room', () => {
    const span = fc.integer({ min: 20, max: 1200 });
    fc.assert(
      fc.property(span, span, (widthMm, heightMm) => {
        const sheet = { widthMm: 210, heightMm: 297, marginMm: 10 };
        const { tiles, columns, rows, isLandscape } = tileGuide({ widthMm, heightMm }, sheet);
        const room = isLandscape ? { x: 277, y: 190 } : { x: 190, y: 277 };
        expect(tiles).toHaveLength(columns * rows);
        for (const tile of tiles) {
          expect(tile.widthMm).toBeLessThanOrEqual(room.x);
          expect(tile.heightMm).toBeLessThanOrEqual(room.y);
          expect(tile.widthMm).toBeGreaterThan(0);
          const next = tiles.find(({ row, column }) => row === tile.row && column === tile.column + 1);
          if (next) expect(tile.xMm + tile.widthMm - next.xMm).toBe(TILE_OVERLAP_MM);
          else expect(tile.xMm + tile.widthMm).toBe(widthMm);
          const below = tiles.find(({ row, column }) => row === tile.row + 1 && column === tile.column);
          if (below) expect(tile.yMm + tile.heightMm - below.yMm).toBe(TILE_OVERLAP_MM);
          else expect(tile.yMm + tile.heightMm).toBe(heightMm);
        }
        expect(tiles.map(({ name }) => name)).toContain('A1');
      }),
    );
  });

  it('has marks that two neighbours both show, in the middle of what they share', () => {
    const tiling = tileGuide({ widthMm: 300, heightMm: 500 }, { widthMm: 210, heightMm: 297, marginMm: 10 });
    const marks = listGlueMarks(tiling);
    expect(tiling.tiles).toHaveLength(4);
    for (const { x, y } of marks) {
      const showing = tiling.tiles.filter(
        (tile) => x > tile.xMm && x < tile.xMm + tile.widthMm && y > tile.yMm && y < tile.yMm + tile.heightMm,
      );
      expect(showing.length).toBeGreaterThanOrEqual(2);
      for (const { xMm, yMm, widthMm, heightMm } of showing)
        expect(Math.min(x - xMm, xMm + widthMm - x, y - yMm, yMm + heightMm - y)).toBe(TILE_OVERLAP_MM / 2);
    }
    // Two for each edge that is shared: A1–A2, B1–B2, A1–B1, A2–B2.
    expect(marks).toHaveLength(8);
    expect(
      listGlueMarks(tileGuide({ widthMm: 100, heightMm: 100 }, { widthMm: 210, heightMm: 297, marginMm: 10 })),
    ).toEqual([]);
  });

  it('lies on its side where that takes fewer pages', () => {
    const { isLandscape, tiles } = tileGuide(
      { widthMm: 270, heightMm: 180 },
      { widthMm: 210, heightMm: 297, marginMm: 10 },
    );
    expect([isLandscape, tiles.length]).toEqual([true, 1]);
  });
});
