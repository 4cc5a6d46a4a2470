// An artwork on paper, to scale or as large as its place allows, as it is worn.

import type { ArtworkPicture } from '../../core/artwork';
import type { Paper } from './paper';

export type PaperBox = { readonly x: number; readonly y: number; readonly width: number; readonly height: number };

/** Round the picture, on the colour of what it is on. */
const EDGE = 6;

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
    ground,
    pointsPerUnit,
  }: {
    readonly colours?: readonly (string | undefined)[];
    /** #rrggbb of what it is on. */
    readonly ground?: string;
    readonly pointsPerUnit?: number;
  } = {},
): number {
  const edge = ground ? EDGE : 0;
  const fit = Math.min((box.width - 2 * edge) / picture.width, (box.height - 2 * edge) / picture.height);
  const scale = Math.min(pointsPerUnit ?? fit, fit);
  const [width, height] = [picture.width * scale + 2 * edge, picture.height * scale + 2 * edge];
  if (ground) paper.rect(box.x, box.y, width, height).fill(ground);
  paper
    .save()
    .translate(box.x + edge, box.y + edge)
    .scale(scale);
  picture.layers.forEach((layer, index) => {
    paper.path(layer.path).fill(colours[index] ?? layer.colour, 'even-odd');
  });
  paper.restore();
  return height;
}
