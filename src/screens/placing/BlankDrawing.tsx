// One side of a blank to scale, with what lies on it: the middle line, how far down, how far to both edges.

import type { Box, Polyline } from '../../core/geometry';
import type { BlankOutline, PlacedArtwork } from '../../core/placing';
import { formatLength, MM_PER_INCH } from '../../core/units';
import type { ArtworkOnBlank } from '../../views/placing';
import { useSettings } from '../shared/settings';

type OnSide = { readonly artwork: ArtworkOnBlank; readonly placed: PlacedArtwork };
type Props = {
  readonly outline: BlankOutline;
  /** #rrggbb of the blank. */
  readonly colour: string;
  readonly things: readonly OnSide[];
  /** The one that is measured. */
  readonly chosen: PlacedArtwork;
  readonly label: string;
};

export function BlankDrawing({ outline, colour, things, chosen, label }: Props) {
  const bounds = boundDrawing(outline);
  const unit = Math.max(bounds.width, bounds.height) * UNIT_SHARE;
  return (
    <svg
      className="blank-drawing"
      viewBox={`${bounds.x} ${bounds.y} ${bounds.width} ${bounds.height}`}
      role="img"
      aria-label={label}
      preserveAspectRatio="xMidYMid meet"
    >
      <path d={toPath(outline.outline, true)} fill={colour} className="outline" />
      {outline.lines.map((line, index) => (
        <path key={index} d={toPath(line, false)} className="line" />
      ))}
      <Line className="middle" from={[0, bounds.y]} to={[0, bounds.y + bounds.height]} />
      <AreaOutline placed={chosen} />
      {things.map(({ artwork, placed }) => (
        <Drawn key={artwork.index} artwork={artwork} box={placed.box} isChosen={placed === chosen} />
      ))}
      <Measures placed={chosen} unit={unit} />
      <ScaleBar bounds={bounds} unit={unit} />
    </svg>
  );
}

/** What words and arrows are measured in, as a share of the drawing. */
const UNIT_SHARE = 0.01;
/** Room for the words round the blank, as a share of its size. */
const ROOM = 0.06;

function boundDrawing({ outline, lines }: BlankOutline): Box {
  const points = [outline, ...lines].flat();
  const left = Math.min(...points.map(({ x }) => x));
  const top = Math.min(...points.map(({ y }) => y));
  const width = Math.max(...points.map(({ x }) => x)) - left;
  const height = Math.max(...points.map(({ y }) => y)) - top;
  const room = Math.max(width, height) * ROOM;
  return { x: left - room, y: top - room, width: width + 2 * room, height: height + 2 * room };
}

const toPath = (line: Polyline, closed: boolean): string =>
  `M${line.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}${closed ? 'Z' : ''}`;

/** The print area and what lies in its way. */
function AreaOutline({ placed: { area, areaBox } }: { readonly placed: PlacedArtwork }) {
  if (!area || !areaBox) return null;
  const { x, y } = areaBox;
  return (
    <g>
      <rect x={x} y={y} width={area.widthMm} height={area.heightMm} className="area-bounds" />
      {area.obstacles.map((obstacle, index) => (
        <rect
          key={index}
          x={x + obstacle.xMm}
          y={y + obstacle.yMm}
          width={obstacle.widthMm}
          height={obstacle.heightMm}
          className="obstacle"
        >
          <title>{obstacle.kind}</title>
        </rect>
      ))}
    </g>
  );
}

type DrawnProps = { readonly artwork: ArtworkOnBlank; readonly box: Box; readonly isChosen: boolean };

function Drawn({ artwork: { picture, colours }, box, isChosen }: DrawnProps) {
  const scale = box.width / picture.width;
  return (
    <g opacity={isChosen ? 1 : 0.55}>
      <g transform={`translate(${box.x} ${box.y}) scale(${scale})`}>
        {picture.layers.map((layer, index) => (
          <path key={index} d={layer.path} fill={colours[index] ?? layer.colour} fillRule="evenodd" />
        ))}
      </g>
      {isChosen && <rect x={box.x} y={box.y} width={box.width} height={box.height} className="box" />}
    </g>
  );
}

/** Down from where it is measured, and to both edges; each as a line with its length beside. */
function Measures({ placed, unit }: { readonly placed: PlacedArtwork; readonly unit: number }) {
  const settings = useSettings();
  const { box, drop, left, right } = placed;
  const y = box.y + box.height / 2;
  const x = box.x + box.width / 2;
  const datumY = box.y - drop.value;
  return (
    <g className="measures" fontSize={unit * 2.9}>
      {Math.abs(drop.value) > 0 && (
        <>
          <Line className="datum" from={[x - unit * 8, datumY]} to={[x + unit * 8, datumY]} />
          <Line from={[x, datumY]} to={[x, box.y]} />
          <text x={x + unit} y={(datumY + box.y) / 2 + unit} textAnchor="start">
            {formatLength(drop.value, settings)}
          </text>
        </>
      )}
      {left && left.value > 0 && (
        <Across from={box.x - left.value} to={box.x} y={y} words={formatLength(left.value, settings)} unit={unit} />
      )}
      {right && right.value > 0 && (
        <Across
          from={box.x + box.width}
          to={box.x + box.width + right.value}
          y={y}
          words={formatLength(right.value, settings)}
          unit={unit}
        />
      )}
      <text x={x} y={box.y + box.height + unit * 3.4} textAnchor="middle">
        {formatLength(box.width, settings)} × {formatLength(box.height, settings)}
      </text>
    </g>
  );
}

type AcrossProps = {
  readonly from: number;
  readonly to: number;
  readonly y: number;
  readonly words: string;
  readonly unit: number;
};

function Across({ from, to, y, words, unit }: AcrossProps) {
  return (
    <>
      <Line from={[from, y]} to={[to, y]} />
      <text x={(from + to) / 2} y={y - unit} textAnchor="middle">
        {words}
      </text>
    </>
  );
}

type LineProps = {
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
  readonly className?: string;
};

/** With a light edge, so that it is seen on a dark blank too. */
function Line({ from: [x1, y1], to: [x2, y2], className = '' }: LineProps) {
  const ends = { x1, y1, x2, y2 };
  return (
    <>
      <line {...ends} className="edge" />
      <line {...ends} className={className} />
    </>
  );
}

const BAR_MM = 100;

function ScaleBar({ bounds, unit }: { readonly bounds: Box; readonly unit: number }) {
  const settings = useSettings();
  const lengthMm = settings.system === 'metric' ? BAR_MM : INCHES_4_MM;
  const x = bounds.x + unit * 1.5;
  const y = bounds.y + bounds.height - unit * 1.5;
  return (
    <g className="measures" fontSize={unit * 2.4}>
      <path d={`M${x} ${y - unit}V${y}H${x + lengthMm}V${y - unit}`} fill="none" className="bar" />
      <text x={x + lengthMm / 2} y={y - unit * 0.8} textAnchor="middle">
        {formatLength(lengthMm, settings)}
      </text>
    </g>
  );
}
const INCHES_4_MM = 4 * MM_PER_INCH;
