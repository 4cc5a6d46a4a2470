// A part where it lies on a sheet: taken up by the pointer, marked where it is at fault, locked or chosen.

import type { RefObject } from 'react';
import type { CutOutline, Placement } from '../../core/nesting';
import { partIdOf, placementKey, TAG_LETTERS, tagOf } from '../../core/orders';
import type { WaitingPart } from '../../views/cut-sheets';
import type { Laid } from './cut-load';
import { toPath } from './SheetStock';

/** What tells the parts of a sheet from one another. */
export type PartMarks = {
  readonly laid: Laid;
  readonly byPart: ReadonlyMap<number, WaitingPart>;
  /** Of the vinyl. */
  readonly colour: string;
  readonly nameOf: (placement: Placement) => string;
  readonly chosen: Placement | null;
  /** Keys of placements that stay where they are. */
  readonly locked: ReadonlySet<string>;
  readonly faulty: ReadonlySet<string>;
  readonly onChoose: (placement: Placement | null) => void;
};
/** A part under the pointer, and where the pointer was last, mm on the sheet. */
export type DraggedPart = { readonly placement: Placement; readonly x: number; readonly y: number };

type Props = PartMarks & {
  readonly placement: Placement;
  readonly shape: CutOutline;
  readonly drag: RefObject<DraggedPart | null>;
  readonly toMm: (event: React.PointerEvent) => { x: number; y: number };
};

export function PlacedPart({ placement, shape, drag, toMm, ...marks }: Props) {
  const { locked, nameOf, onChoose } = marks;
  const isLocked = locked.has(placementKey(placement));
  return (
    <g
      className="part grab"
      transform={`translate(${placement.xMm} ${placement.yMm}) rotate(${placement.rotationDeg})`}
      onPointerDown={(event) => {
        event.currentTarget.ownerSVGElement?.setPointerCapture(event.pointerId);
        onChoose(placement);
        if (!isLocked) drag.current = { placement, ...toMm(event) };
      }}
    >
      <title>
        {nameOf(placement)}
        {isLocked ? ', locked' : ''}
      </title>
      <path
        d={shape.paths.map(({ points }) => toPath(points, true)).join('')}
        fill={marks.colour}
        fillRule="evenodd"
        {...strokeOf(placement, marks)}
      />
      <PartTag placement={placement} laid={marks.laid} byPart={marks.byPart} />
      {/* Taken up anywhere within its outline, also through its holes. */}
      <path d={toPath(shape.outline, true)} fill="transparent" />
    </g>
  );
}

function strokeOf(placement: Placement, { chosen, faulty, locked }: PartMarks) {
  const key = placementKey(placement);
  const isFaulty = faulty.has(key);
  const isChosen = chosen !== null && placementKey(chosen) === key;
  const dashes = locked.has(key) ? { strokeDasharray: '3 2' } : {};
  if (isFaulty) return { stroke: 'var(--mui-palette-error-main)', strokeWidth: 2, ...dashes };
  if (isChosen) return { stroke: 'var(--mui-palette-secondary-main)', strokeWidth: 2, ...dashes };
  return { stroke: 'var(--mui-palette-text-primary)', strokeWidth: 0.5, ...dashes };
}

type TagProps = Pick<PartMarks, 'laid' | 'byPart'> & { readonly placement: Placement };

/** Whose part it is, in the ground beside it; nothing where its load has no tags. */
function PartTag({ placement, laid, byPart }: TagProps) {
  const corner = laid.job.tagAt.get(placement.pieceId);
  if (!corner) return null;
  return (
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
  );
}
