// A drawing from the text of a file, whichever of the kinds that are read it is.

import type { Result } from '../units';
import type { Artwork, ReadProblem } from './artwork';
import { looksLikeDxf, readDxf } from './read-dxf';
import { readSvg } from './read-svg';

export const readDrawing = (text: string): Result<Artwork, ReadProblem> =>
  looksLikeDxf(text) ? readDxf(text) : readSvg(text);
