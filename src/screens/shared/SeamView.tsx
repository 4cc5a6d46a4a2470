// The seam: left as worn, right as cut. X crosses it: both, only worn, only cut.

import { useState } from 'react';
import type { ArtworkPicture } from '../../core/artwork';
import { useKeys } from './keys';
import { Picture } from './Picture';

type SeamProps = { readonly picture: ArtworkPicture; readonly colours?: readonly (string | undefined)[]; readonly mirrored: boolean; readonly cutCaption: string; readonly size: string; readonly name: string; readonly height?: number; readonly ground?: string };
const SIDES = ['both', 'worn', 'cut'] as const;

export function SeamView({ picture, colours, mirrored, cutCaption, size, name, height = 420, ground }: SeamProps) {
  const [side, setSide] = useState<(typeof SIDES)[number]>('both');
  const cross = () => setSide(SIDES[(SIDES.indexOf(side) + 1) % SIDES.length]!);
  useKeys('Artwork', [{ keys: 'x', shown: 'X', does: 'cross the seam: both, as worn, as cut', run: cross }]);
  return (
    <div className={`seam ${side === 'both' ? '' : 'one'}`}>
      {side !== 'cut' && <figure style={ground ? { background: ground } : undefined}><figcaption style={ground ? { color: readableOn(ground) } : undefined}>as worn</figcaption><Picture picture={picture} colours={colours} label={`${name}, as worn`} maxHeight={height} /><span className="size" style={ground ? { color: readableOn(ground) } : undefined}>{size}</span></figure>}
      {side !== 'worn' && <figure className="cut"><figcaption>as cut, {cutCaption}</figcaption><Picture picture={picture} colours={colours} mirrored={mirrored} label={`${name}, as cut, ${cutCaption}`} maxHeight={height} /></figure>}
      <button className="quiet" style={{ position: 'absolute', right: 24, bottom: 4 }} onClick={cross} aria-label="Cross the seam">X crosses</button>
    </div>
  );
}

/** Ink or paper, whichever reads better on a ground of #rrggbb. */
function readableOn(ground: string): string {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => parseInt(ground.slice(at, at + 2), 16));
  return r * 0.299 + g * 0.587 + b * 0.114 > 140 ? '#231F2B' : '#FFFCF5';
}
