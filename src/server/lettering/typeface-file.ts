// Where the files of a typeface lie: one for each alphabet that it has.

import { existsSync } from 'node:fs';
import { join } from 'node:path';
import type { Typeface } from '../../core/artwork';
import { programRoot } from '../context';

const ALPHABETS = ['latin', 'latin-ext', 'vietnamese', 'cyrillic', 'cyrillic-ext', 'greek'] as const;

/** Those for English first; a typeface has some of the others. */
export const findTypefaceFiles = ({ key, weight }: Typeface): readonly string[] =>
  ALPHABETS.map((alphabet) =>
    join(programRoot(), 'node_modules', '@fontsource', key, 'files', `${key}-${alphabet}-${weight}-normal.woff2`),
  ).filter((file) => existsSync(file));
