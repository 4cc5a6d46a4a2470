// One sheet to scale, with rulers: the parts as they are cut. One of them can be taken up, moved, turned and locked.

import { useRef } from 'react';
import type { NestStock, Placement, SheetUse } from '../../core/nesting';
import { formatLength } from '../../core/units';
import type { CutShape } from '../../workers/nest-client';
import { useSettings } from '../shared/settings';

type Props = {
  readonly use: SheetUse; readonly stock: NestStock; readonly placements: readonly Placement[]; readonly shapes: ReadonlyMap<string, CutShape>; readonly colour: string;
  readonly nameOf: (placement: Placement) => string; readonly chosen: Placement | null; readonly locked: ReadonlySet<string>; readonly faulty: ReadonlySet<string>;
  readonly onChoose: (placement: Placement | null) => void; readonly onMove: (placement: Placement, dxMm: number, dyMm: number) => void;
};
export const placementKey = ({ pieceId, copy }: Pick<Placement, 'pieceId' | 'copy'>): string => `${copy} ${pieceId}`;
const RULER_MM = 14, TICK_MM = 50;

export function SheetView({ use, stock, placements, shapes, colour, nameOf, chosen, locked, faulty, onChoose, onMove }: Props) {
  const settings = useSettings();
  const svg = useRef<SVGSVGElement>(null);
  const drag = useRef<{ readonly placement: Placement; x: number; y: number } | null>(null);
  const width = stock.kind === 'offcut' ? Math.max(...stock.shape.map((point) => point.x)) : stock.widthMm;
  const whole = stock.kind === 'offcut' ? Math.max(...stock.shape.map((point) => point.y)) : stock.lengthMm;
  const length = stock.kind === 'roll' ? Math.min(whole, use.usedLengthMm + 30) : whole;
  // The length runs across the page: a roll is longer than wide.
  const toMm = (event: React.PointerEvent) => {
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.current!.getScreenCTM()!.inverse());
    return { x: width - point.y, y: point.x };
  };
  const path = (shape: CutShape) => shape.paths.map(({ points }) => `M${points.map((point) => `${point.x.toFixed(2)} ${point.y.toFixed(2)}`).join('L')}Z`).join('');
  return (
    <figure style={{ margin: 0 }} aria-label={`${placements.length} parts on ${formatLength(use.usedLengthMm, settings)}`}>
      <svg ref={svg} viewBox={`${-RULER_MM} ${-RULER_MM} ${length + RULER_MM} ${width + RULER_MM}`} style={{ width: '100%', maxHeight: 380, display: 'block', touchAction: 'none' }} onPointerDown={(event) => event.target === svg.current && onChoose(null)}
        onPointerMove={(event) => {
          if (!drag.current || event.buttons !== 1) return;
          const at = toMm(event);
          onMove(drag.current.placement, at.x - drag.current.x, at.y - drag.current.y);
          drag.current = { ...drag.current, ...at };
        }} onPointerUp={() => (drag.current = null)}>
        {Array.from({ length: Math.floor(length / TICK_MM) + 1 }, (_, at) => <g key={`along ${at}`}><line x1={at * TICK_MM} x2={at * TICK_MM} y1={-4} y2={0} stroke="var(--mui-palette-text-secondary)" strokeWidth={0.6} />{at % 2 === 0 && <text x={at * TICK_MM} y={-6} fontSize={7} textAnchor="middle" fill="var(--mui-palette-text-secondary)">{settings.system === 'metric' ? at * TICK_MM : ((at * TICK_MM) / 25.4).toFixed(1)}</text>}</g>)}
        {Array.from({ length: Math.floor(width / TICK_MM) + 1 }, (_, at) => <g key={`across ${at}`}><line x1={-4} x2={0} y1={width - at * TICK_MM} y2={width - at * TICK_MM} stroke="var(--mui-palette-text-secondary)" strokeWidth={0.6} />{at % 2 === 0 && at > 0 && <text x={-5} y={width - at * TICK_MM + 2} fontSize={7} textAnchor="end" fill="var(--mui-palette-text-secondary)">{settings.system === 'metric' ? at * TICK_MM : ((at * TICK_MM) / 25.4).toFixed(1)}</text>}</g>)}
        {/* Stock coordinates, turned so that the length runs to the right. */}
        <g transform={`translate(0 ${width}) rotate(-90) scale(1 1)`}>
          {stock.kind === 'offcut' ? <polygon points={stock.shape.map((point) => `${point.x},${point.y}`).join(' ')} fill="var(--cut-side)" stroke="var(--mui-palette-text-secondary)" strokeWidth={0.6} /> : <rect width={width} height={length} fill="var(--cut-side)" stroke="var(--mui-palette-text-secondary)" strokeWidth={0.6} />}
          {stock.kind === 'roll' && <line x1={0} x2={width} y1={use.usedLengthMm} y2={use.usedLengthMm} stroke="var(--mui-palette-secondary-main)" strokeWidth={0.9} strokeDasharray="5 3" />}
          {placements.map((placement) => {
            const shape = shapes.get(placement.pieceId), key = placementKey(placement);
            if (!shape) return null;
            const isChosen = chosen !== null && placementKey(chosen) === key, isFaulty = faulty.has(key);
            return (
              <g key={key} className="part" transform={`translate(${placement.xMm} ${placement.yMm}) rotate(${placement.rotationDeg})`} style={{ cursor: 'grab' }} onPointerDown={(event) => {
                event.currentTarget.ownerSVGElement?.setPointerCapture(event.pointerId);
                onChoose(placement);
                if (!locked.has(key)) drag.current = { placement, ...toMm(event) };
              }}>
                <title>{nameOf(placement)}{locked.has(key) ? ', locked' : ''}</title>
                <path d={path(shape)} fill={colour} fillRule="evenodd" stroke={isFaulty ? 'var(--mui-palette-error-main)' : isChosen ? 'var(--mui-palette-secondary-main)' : 'var(--mui-palette-text-primary)'} strokeWidth={isFaulty || isChosen ? 2 : 0.5} {...(locked.has(key) ? { strokeDasharray: '3 2' } : {})} />
                {/* Taken up anywhere within its outline, also through its holes. */}
                <polygon points={shape.outline.map((point) => `${point.x.toFixed(2)},${point.y.toFixed(2)}`).join(' ')} fill="transparent" />
              </g>
            );
          })}
        </g>
      </svg>
    </figure>
  );
}
