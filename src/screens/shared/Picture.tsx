// Artwork as Chiral draws it: its own polygons, in the colours of the drawing or of the vinyls, mirrored or not.

import type { ReactNode } from 'react';
import type { ArtworkPicture } from '../../core/artwork';

type PictureProps = {
  readonly picture: ArtworkPicture;
  readonly colours?: readonly (string | undefined)[];
  /** For all layers, or for each. */
  readonly mirrored?: boolean | readonly boolean[];
  readonly label: string;
  readonly maxHeight?: number;
  /** Drawn on top in the picture's own units; mirrored with the first layer. */
  readonly children?: ReactNode;
  /** Instead of the colours: what stays, and what is weeded out, with how many cavities each piece has. */
  readonly weeding?: boolean;
};

export function Picture({
  picture,
  colours,
  mirrored = false,
  label,
  maxHeight,
  children,
  weeding = false,
}: PictureProps) {
  const turnOf = (index: number) =>
    (typeof mirrored === 'boolean' ? mirrored : (mirrored[index] ?? false))
      ? `translate(${picture.width} 0) scale(-1 1)`
      : undefined;
  const margin = picture.layers.some((layer) => layer.extras) ? picture.width * 0.14 : 8;
  return (
    <svg
      className="drawn"
      viewBox={`${-margin} ${-margin} ${picture.width + 2 * margin} ${picture.height + 2 * margin}`}
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
      style={maxHeight ? { maxHeight } : undefined}
      preserveAspectRatio="xMidYMid meet"
    >
      {picture.layers.map((layer, index) => (
        <g key={index} transform={turnOf(index)}>
          <path
            d={layer.path}
            fill={weeding ? 'var(--stays)' : (colours?.[index] ?? layer.colour)}
            fillRule="evenodd"
          />
          {weeding && layer.cavities && <path d={layer.cavities} fill="var(--weeds)" />}
          {layer.extras && <path d={layer.extras} className="extra" />}
        </g>
      ))}
      {weeding &&
        picture.layers.flatMap((layer, index) =>
          (layer.groups ?? []).map((group, at) => {
            const flipped = turnOf(index) !== undefined;
            return (
              <text
                key={`${index}-${at}`}
                x={flipped ? picture.width - group.x : group.x}
                y={group.y}
                className="weed-count"
                fontSize={picture.width / 28}
              >
                {group.cavities}
              </text>
            );
          }),
        )}
      {children && <g transform={turnOf(0)}>{children}</g>}
    </svg>
  );
}
