// Refusals of drawings and of the items made from them.

import type { MeasureProblem, ReadProblem } from '../../core/artwork';
import type { CostProblem } from '../../core/costing';
import type { FormatSettings } from '../../core/units';
import { plural, verbFor } from '../plural';
import { describeArtworkProblem, describeCostProblem } from '../problems';

const list = (names: readonly string[]) => names.join(', ');

export const ARTWORK = {
  'drawing-refused': ({ problem }: { problem: ReadProblem | MeasureProblem }) => describeArtworkProblem(problem),
  'drawing-too-slow': () =>
    'This drawing takes too long or too much memory to measure. Simplify its paths in your drawing program, then try again.',
  'facts-not-json': () => 'What was sent beside the file is not JSON. Reload the page and try again.',
  'layers-in-use': ({ used, worn }: { used: number; worn: number }) =>
    `Items use this artwork with ${plural(used, 'layer')}, and these steps leave ${worn} that ${verbFor(worn, 'is', 'are')} worn. Save it as a new artwork, or archive those items first.`,
  'layer-too-slow': () => 'This layer takes too long to lay out.',
  'artwork-archived': () => 'Artwork: it is not here any more. Choose another.',
  'vinyl-for-each-layer': ({ artwork, layers }: { artwork: string; layers: number }) =>
    `Vinyl: ${artwork} has ${plural(layers, 'layer')}, choose one for each.`,
  'blank-archived': () => 'Blank: it is not on the shelf any more. Choose another.',
  'no-such-size': ({ blank, sizes }: { blank: string; sizes: readonly string[] }) =>
    `Size: ${blank} has ${list(sizes)}.`,
  'colours-are': ({ blank, colours }: { blank: string; colours: readonly string[] }) =>
    `Colour: ${blank} has ${list(colours)}.`,
  'no-such-colour': ({ blank, colour }: { blank: string | undefined; colour: string }) =>
    `Colour: ${blank ?? 'the blank'} does not come in ${colour}.`,
  'item-archived': () => 'Item: it is archived. Choose another.',
  'option-gone': ({ item }: { item: string }) => `Option: ${item} has it no more. Reload the page and choose again.`,
  'not-costed': ({ problem, settings }: { problem: CostProblem; settings: FormatSettings }) =>
    describeCostProblem(problem, settings),
  'item-not-costed': (d: { item: string; problem: CostProblem; settings: FormatSettings }) =>
    `${d.item}: ${describeCostProblem(d.problem, d.settings)}`,
};
