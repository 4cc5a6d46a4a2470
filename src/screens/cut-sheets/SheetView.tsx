// One sheet to scale, with rulers: the parts as they are cut. One of them can be taken up, moved, turned and locked.

import { useRef } from 'react';
import type { DrawnMarks, Leftover, NestStock, Placement, SheetUse } from '../../core/nesting';
import { outlineOf, placementKey } from '../../core/orders';
import { formatLength } from '../../core/units';
import { plural } from '../../wording/plural';
import { useSettings } from '../shared/settings';
import { PlacedPart, type DraggedPart, type PartMarks } from './PlacedPart';
import { MarkLines, Rulers, StockArea, type SheetSize } from './SheetStock';

type Props = PartMarks & {
  readonly use: SheetUse;
  readonly stock: NestStock;
  readonly placements: readonly Placement[];
  readonly marks: DrawnMarks;
  /** What is saved of it afterwards. */
  readonly leftover: Leftover | null;
  readonly onMove: (placement: Placement, dxMm: number, dyMm: number) => void;
};

/** A sheet of this length is drawn as wide as the page; longer ones have larger letters, so that they are read as well. */
const RULER_AT_MM = 420;
const RULER_MM = 14;

export function SheetView({ use, stock, placements, marks, leftover, onMove, ...part }: Props) {
  const settings = useSettings();
  const size = measureStock(stock, use.usedLengthMm);
  const { k, width, length } = size;
  const ruler = RULER_MM * k;
  const { svg, drag, toMm, move } = useDrag(width, onMove);
  return (
    <figure
      aria-label={`${plural(placements.length, 'part')} on ${formatLength(use.usedLengthMm, settings)}`}
      className="flat"
    >
      <svg
        ref={svg}
        viewBox={`${-1.6 * ruler} ${-ruler} ${length + 1.6 * ruler} ${width + ruler}`}
        onPointerDown={(event) => event.target === svg.current && part.onChoose(null)}
        onPointerMove={move}
        onPointerUp={() => (drag.current = null)}
        className="full block sheet-drawing"
      >
        <Rulers {...size} />
        {/* Stock coordinates, turned so that the length runs to the right. */}
        <g transform={`translate(0 ${width}) rotate(-90) scale(1 1)`}>
          <StockArea stock={stock} size={size} usedLengthMm={use.usedLengthMm} leftover={leftover} />
          <MarkLines marks={marks} />
          {placements.map((placement) => {
            const piece = part.laid.job.cut.find((one) => one.id === placement.pieceId);
            const shape = piece && outlineOf(piece, part.laid.shapes);
            return (
              shape && (
                <PlacedPart
                  {...part}
                  key={placementKey(placement)}
                  placement={placement}
                  shape={shape}
                  drag={drag}
                  toMm={toMm}
                />
              )
            );
          })}
        </g>
      </svg>
    </figure>
  );
}

/** What is drawn of the stock, mm; `k` makes lines and letters larger on long sheets. */
function measureStock(stock: NestStock, usedLengthMm: number): SheetSize {
  const isOffcut = stock.kind === 'offcut';
  const width = isOffcut ? Math.max(...stock.shape.map((point) => point.x)) : stock.widthMm;
  const whole = isOffcut ? Math.max(...stock.shape.map((point) => point.y)) : stock.lengthMm;
  const length = stock.kind === 'roll' ? Math.min(whole, usedLengthMm + 30) : whole;
  return { width, length, k: Math.max(1, (length + RULER_MM) / RULER_AT_MM) };
}

/** Takes a part along with the pointer. */
function useDrag(width: number, onMove: Props['onMove']) {
  const svg = useRef<SVGSVGElement>(null);
  const drag = useRef<DraggedPart | null>(null);
  // The length runs across the page: a roll is longer than wide.
  const toMm = (event: React.PointerEvent) => {
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.current!.getScreenCTM()!.inverse());
    return { x: width - point.y, y: point.x };
  };
  const move = (event: React.PointerEvent) => {
    if (!drag.current || event.buttons !== 1) return;
    const at = toMm(event);
    onMove(drag.current.placement, at.x - drag.current.x, at.y - drag.current.y);
    drag.current = { ...drag.current, ...at };
  };
  return { svg, drag, toMm, move };
}
