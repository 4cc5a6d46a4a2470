import { describe, expect, it } from 'vitest';
import { inspectArtwork, measureResolved, DETAIL_FLOORS, type LayerMaterials, type StepAction } from '../index';

import { BLUE, prepare, RED, SIZE, TWO } from './prepare-examples';

describe('inspectArtwork', () => {
  const find = (body: string, materials: LayerMaterials = {}, ...steps: readonly StepAction[]) => {
    const artwork = prepare(body, SIZE, ...steps);
    return inspectArtwork(artwork, measureResolved(artwork), materials);
  };
  const smooth = { floor: DETAIL_FLOORS.smooth, hasOwnFloor: false, takesLayers: true, usableMm: null, turnable: true };

  it('says nothing of a drawing that is fine', () => {
    expect(find('<rect fill="red" width="100" height="60"/>')).toEqual([]);
  });

  it('gives the width from which thin strokes hold, and that width then has none', () => {
    const fine =
      '<path fill="red" d="M0 0H100V20H60V19.5H50V20H0zM40 5" /><rect fill="red" y="30" width="100" height="0.5"/>';
    const [finding] = find(fine);
    expect(finding).toMatchObject({ kind: 'thin-strokes', layer: RED, floorMm: 1, safeWidthMm: 200 });
    const remedy = finding!.remedies[0]!;
    expect(find(fine, {}, remedy).filter((other) => other.kind === 'thin-strokes')).toEqual([]);
  });

  it('bars colour on a vinyl that takes none, and its knock-out mends it', () => {
    const glitter: LayerMaterials = { all: smooth, byLayer: { [RED]: { ...smooth, takesLayers: false } } };
    const [finding] = find(TWO, glitter);
    expect(finding).toMatchObject({ kind: 'colour-on-colour', lower: RED, upper: BLUE });
    const left = find(TWO, glitter, finding!.remedies[0]!);
    // The seam that it leaves is on purpose.
    expect(left.filter((other) => other.kind === 'colour-on-colour')).toEqual([]);
    expect(find(TWO)).toEqual([]);
  });

  it('a seam is one only where it is thin all along: a stroke that crosses glitter is none', () => {
    const glitter: LayerMaterials = { all: smooth, byLayer: { [RED]: { ...smooth, takesLayers: false } } };
    const crossing =
      '<rect fill="red" width="100" height="10"/><rect fill="blue" x="50" y="-200" width="3" height="400"/>';
    expect(find(crossing, glitter).map((finding) => finding.kind)).toContain('colour-on-colour');
  });

  it('weed boxes and registration marks cross nothing', () => {
    for (const step of [
      { kind: 'weed-boxes', layer: RED, marginMm: 4, joinMm: 6 },
      { kind: 'registration', sizeMm: 4, gapMm: 8 },
    ] as const)
      expect(find(TWO, {}, step).filter((finding) => finding.kind === 'crossing')).toEqual([]);
    const crossing = '<rect fill="red" width="60" height="20"/><rect fill="red" x="40" width="60" height="20"/>';
    expect(
      find(crossing, {}, { kind: 'weed-boxes', layer: RED, marginMm: 4, joinMm: 6 }).map((finding) => finding.kind),
    ).toContain('crossing');
  });

  it('offers to turn or shrink what is wider than the stock', () => {
    const [finding] = find(TWO, { all: { ...smooth, usableMm: 80 } });
    expect(finding).toMatchObject({
      kind: 'too-wide',
      needsMm: expect.closeTo(100, 1),
      usableMm: 80,
      fitsTurned: true,
      shrinkToMm: 80,
    });
    expect(find(TWO, { all: { ...smooth, usableMm: 80 } }, { kind: 'size', widthMm: 80 })).toEqual([]);
  });

  it('finds doubled, crossing, open, speckled, stacked and nearly like-coloured parts', () => {
    const kinds = (body: string) => find(body).map((finding) => finding.kind);
    expect(kinds('<rect fill="red" width="100" height="60"/><rect fill="red" width="100" height="60"/>')).toContain(
      'doubled',
    );
    expect(
      kinds('<rect fill="red" width="60" height="20"/><rect fill="red" x="40" width="60" height="20"/>'),
    ).toContain('crossing');
    expect(kinds('<path fill="red" d="M0 0H100V60"/>')).toContain('open-paths');
    expect(
      kinds('<rect fill="red" width="100" height="60"/><rect fill="red" y="80" width="0.9" height="0.9"/>'),
    ).toContain('specks');
    expect(
      kinds('<rect fill="red" width="100" height="60"/><rect fill="#fd0202" y="70" width="100" height="10"/>'),
    ).toContain('like-colours');
    expect(
      kinds(
        ['red', 'blue', 'lime', 'black']
          .map((colour, index) => `<rect fill="${colour}" width="${100 - index * 10}" height="60"/>`)
          .join(''),
      ),
    ).toContain('too-thick');
    expect(kinds('<rect fill="red" width="100" height="60" stroke="black"/>')).toContain('strokes-apart');
  });
});
