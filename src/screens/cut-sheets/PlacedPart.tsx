// A part where it lies on a sheet: taken up by the pointer, marked where it is at fault, locked or chosen.

import type { Placement, CutOutline } from '../../core/nesting';
import type { Point } from '../../core/geometry';
import type { WaitingPart } from '../../views/cut-sheets';
import type { Laid } from './cut-load';
import { placementKey, TAG_LETTERS, tagOf, partIdOf } from '../../core/orders';

type PlacedPartProps = {
  readonly placement: Placement;
  readonly onChoose: (placement: Placement | null) => void;
  readonly locked: ReadonlySet<string>;
  readonly drag: React.RefObject<{ readonly placement: Placement; x: number; y: number } | null>;
  readonly toMm: (event: React.PointerEvent) => { x: number; y: number };
  readonly nameOf: (placement: Placement) => string;
  readonly path: (shape: CutOutline) => string;
  readonly shape: CutOutline;
  readonly colour: string;
  readonly isFaulty: boolean;
  readonly isChosen: boolean;
  readonly corner: Point | undefined;
  readonly byPart: ReadonlyMap<number, WaitingPart>;
  readonly laid: Laid;
};

export function PlacedPart({
  placement,
  onChoose,
  locked,
  drag,
  toMm,
  nameOf,
  path,
  shape,
  colour,
  isFaulty,
  isChosen,
  corner,
  byPart,
  laid,
}: PlacedPartProps) {
  const key = placementKey(placement);
  return (
    <g
      className="part grab"
      transform={`translate(${placement.xMm} ${placement.yMm}) rotate(${placement.rotationDeg})`}
      onPointerDown={(event) => {
        event.currentTarget.ownerSVGElement?.setPointerCapture(event.pointerId);
        onChoose(placement);
        if (!locked.has(key)) drag.current = { placement, ...toMm(event) };
      }}
    >
      <title>
        {nameOf(placement)}
        {locked.has(key) ? ', locked' : ''}
      </title>
      <path
        d={path(shape)}
        fill={colour}
        fillRule="evenodd"
        stroke={
          isFaulty
            ? 'var(--mui-palette-error-main)'
            : isChosen
              ? 'var(--mui-palette-secondary-main)'
              : 'var(--mui-palette-text-primary)'
        }
        strokeWidth={isFaulty || isChosen ? 2 : 0.5}
        {...(locked.has(key) ? { strokeDasharray: '3 2' } : {})}
      />
      {corner && (
        <text
          x={corner.x}
          y={corner.y + TAG_LETTERS.capHeightMm + 0.4}
          fontSize={TAG_LETTERS.capHeightMm / 0.7}
          fontFamily="Archivo Narrow, sans-serif"
          fontWeight={700}
          fill="var(--mui-palette-text-primary)"
        >
          {tagOf(byPart.get(partIdOf(laid.job, placement) ?? 0))}
        </text>
      )}
      {/* Taken up anywhere within its outline, also through its holes. */}
      <polygon
        points={shape.outline.map((point) => `${point.x.toFixed(2)},${point.y.toFixed(2)}`).join(' ')}
        fill="transparent"
      />
    </g>
  );
}
