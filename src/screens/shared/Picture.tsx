// Artwork as Chiral draws it: its own polygons, in the colours of the drawing or of the vinyls, mirrored or not.

import type { ArtworkPicture } from '../../core/artwork';

type PictureProps = { readonly picture: ArtworkPicture; readonly colours?: readonly (string | undefined)[]; readonly mirrored?: boolean; readonly label: string; readonly maxHeight?: number };

export function Picture({ picture, colours, mirrored = false, label, maxHeight }: PictureProps) {
  return (
    <svg className="drawn" viewBox={`-8 -8 ${picture.width + 16} ${picture.height + 16}`} {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })} style={maxHeight ? { maxHeight } : undefined} preserveAspectRatio="xMidYMid meet">
      <g transform={mirrored ? `translate(${picture.width} 0) scale(-1 1)` : undefined}>
        {picture.layers.map((layer, index) => <path key={index} d={layer.path} fill={colours?.[index] ?? layer.colour} fillRule="evenodd" />)}
      </g>
    </svg>
  );
}
