// A drawing of the shop as the figure of a ladder: its lines as they are now, whatever becomes of the drawing.

import { fitOwnFigure, type FigureChoice } from '../../core/cutting/index';
import { findArtwork, findOriginal } from '../../data/artwork-store';
import type { OwnFigure } from '../../data/own-figure-store';
import { readLines } from '../artwork/measure-file';
import type { ShopContext } from '../context';
import { notFound, ShopError } from '../errors';

type Wish = { readonly figure: FigureChoice; readonly artworkId: number | null };

/** Null for a figure that comes with Chiral. @throws ShopError for a drawing that is gone, too fine, or has no line */
export async function prepareOwnFigure({ db }: ShopContext, { figure, artworkId }: Wish): Promise<OwnFigure | null> {
  if (figure !== 'own') return null;
  if (artworkId === null) throw new ShopError('invalid', { reason: 'figure-missing' }, 'artworkId');
  const artwork = findArtwork(db, artworkId);
  const file = findOriginal(db, artworkId);
  if (!artwork || !file) throw notFound('This drawing');
  const fitted = fitOwnFigure(await readLines(file.original, artwork));
  if (!fitted.ok) throw new ShopError('invalid', { reason: 'figure-refused', problem: fitted.problem }, 'artworkId');
  return { name: artwork.name, lines: fitted.value };
}
