// An artwork on paper, to scale or as large as its place allows, as it is worn.

import type { ArtworkPicture } from '../../core/artwork';
import type { Paper } from './paper';

export type PaperBox = { readonly x: number; readonly y: number; readonly width: number; readonly height: number };

/**
 * In points, from the box's upper left corner. `pointsPerUnit`: the scale; left out, as large as the box holds. `colours`
 * by layer, else the drawing's own. Answers the height that it took.
 */
export function drawPictureOnPaper(
  paper: Paper,
  picture: ArtworkPicture,
  box: PaperBox,
  {
    colours = [],
    pointsPerUnit,
  }: { readonly colours?: readonly (string | undefined)[]; readonly pointsPerUnit?: number } = {},
): number {
  const fit = Math.min(box.width / picture.width, box.height / picture.height);
  const scale = Math.min(pointsPerUnit ?? fit, fit);
  paper.save().translate(box.x, box.y).scale(scale);
  picture.layers.forEach((layer, index) => {
    paper.path(layer.path).fill(colours[index] ?? layer.colour, 'even-odd');
  });
  paper.restore();
  return picture.height * scale;
}
