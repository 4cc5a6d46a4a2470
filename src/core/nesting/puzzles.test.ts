import 'fast-check';
import { describe, expect, it } from 'vitest';
import { cutConvex, cutJigsaw, cutRectangles, type Puzzle } from '../../../test/puzzles';
import { type Polyline } from '../geometry';
import { type NestStock } from './index';
import { piece, roll, lay, faultsOf } from './nesting-examples';

describe('puzzles cut from a full rectangle', () => {
  const density = async (puzzle: Puzzle, rounds: number) => {
    const stock: NestStock[] = [{ kind: 'roll', id: 'r', widthMm: puzzle.widthMm, lengthMm: puzzle.lengthMm * 3 }],
      own = { gapMm: 0, margins: { sideMm: 0, endMm: 0 }, rounds };
    const layout = await lay(puzzle.pieces, stock, own);
    expect(faultsOf(puzzle.pieces, stock, layout, own)).toEqual([]);
    return layout.density;
  };
  it('twenty convex pieces, twenty rectangles and a jigsaw go together again', async () => {
    expect(await density(cutConvex(20, 0.1), 300)).toBeGreaterThan(0.99);
    expect(await density(cutRectangles(20, 0.2), 10)).toBeGreaterThan(0.94);
    expect(await density(cutJigsaw(4, 5, 0.1), 300)).toBeGreaterThan(0.99);
  }, 60_000);

  it('so do pieces that come turned by any angle, and may be turned by any', async () => {
    const shuffle = ({ pieces, ...puzzle }: Puzzle): Puzzle => ({
      ...puzzle,
      pieces: pieces.map((own, at) => {
        const angle = at * 1.234567,
          cos = Math.cos(angle),
          sin = Math.sin(angle);
        return {
          ...own,
          rings: own.rings.map((ring) => ring.map(({ x, y }) => ({ x: x * cos - y * sin, y: x * sin + y * cos }))),
        };
      }),
    });
    expect(await density(shuffle(cutConvex(12, 0.4, 'free')), 3000)).toBeGreaterThan(0.99);
    expect(await density(shuffle(cutJigsaw(2, 3, 0.2, 'free')), 3000)).toBeGreaterThan(0.99);
  }, 60_000);

  it('ends all the same where no edge of any piece lies along another or along the roll', async () => {
    const askew: Polyline = [
      { x: 0, y: 0 },
      { x: 50, y: 9 },
      { x: 17, y: 43 },
    ];
    const layout = await lay([piece('askew', askew, 5, [0])], [roll()], { gapMm: 0, rounds: 60 });
    expect([
      layout.placements.length,
      faultsOf([piece('askew', askew, 5, [0])], [roll()], layout, { gapMm: 0 }),
    ]).toEqual([5, []]);
  });
});
