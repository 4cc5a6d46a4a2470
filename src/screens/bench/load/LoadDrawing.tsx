// The sheet on the cutter, to scale: what lies where, where it begins, where test figures go, and how far the knife is.

import { TEST_FIGURE_MM } from '../../../core/cutting';
import type { CutterView, LoadSheetView, SheetCutView } from '../../../views/load';

type Props = {
  readonly plan: LoadSheetView;
  readonly now: SheetCutView;
  readonly cutter: CutterView | null;
  readonly label: string;
};
type Ring = LoadSheetView['stock'];

const toRing = (points: Ring): string => `M${points.map(({ x, y }) => `${x} ${y}`).join('L')}Z`;
const MARGIN_MM = 12;
/** A sheet of this length is drawn as wide as the card; lines of longer ones are drawn as thick to the eye. */
const PLAIN_LENGTH_MM = 420;
const KNIFE_MM = 5;

export function LoadDrawing({ plan, now, cutter, label }: Props) {
  const width = Math.max(...plan.stock.map(({ x }) => x));
  const length = Math.max(...plan.stock.map(({ y }) => y)) + now.shiftMm;
  // Its longer side runs to the right; of a long one that is the length, as on the cut sheet.
  const isTurned = length >= width;
  const [across, down] = isTurned ? [length, width] : [width, length];
  const k = Math.max(1, across / PLAIN_LENGTH_MM);
  const job = cutter?.job?.sheet === plan.sheet ? cutter.job : null;
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`${-MARGIN_MM * k} ${-4 * k} ${across + (MARGIN_MM + 4) * k} ${down + 8 * k}`}
      className="full block load-drawing"
    >
      <g transform={isTurned ? `translate(0 ${width}) rotate(-90)` : undefined} strokeWidth={0.7 * k}>
        <Stock plan={plan} now={now} width={width} length={length} />
        <g transform={`translate(0 ${now.shiftMm})`}>
          <Lines plan={plan} now={now} />
        </g>
        {plan.testSpots.slice(0, Math.max(now.tests.length, now.testReasons.length > 0 ? 1 : 0)).map(({ x, y }, at) => (
          <rect key={at} x={x} y={y} width={TEST_FIGURE_MM} height={TEST_FIGURE_MM} className="test-spot" />
        ))}
        <path d={`M0 0L${14 * k} 0M0 0L0 ${14 * k}`} className="origin" strokeWidth={2.4 * k} />
        {job?.at && job.state !== 'done' && (
          <circle cx={job.at.x} cy={job.at.y} r={KNIFE_MM * k} className="knife" strokeWidth={1.6 * k} />
        )}
      </g>
    </svg>
  );
}

type StockProps = Pick<Props, 'plan' | 'now'> & { readonly width: number; readonly length: number };

function Stock({ plan, now, width, length }: StockProps) {
  return (
    <>
      {plan.lot.form === 'roll' ? (
        <rect width={width} height={length} className="stock" />
      ) : (
        <path d={toRing(plan.stock)} className="stock" />
      )}
      {plan.spoiledSpots.map((ring, at) => (
        <path key={at} d={toRing(ring)} className="spoiled" />
      ))}
      {now.shiftMm > 0 && <line x2={width} y1={now.shiftMm} y2={now.shiftMm} className="begins" />}
    </>
  );
}

/** What is cut is drawn dark, what is to be cut yet faint. */
function Lines({ plan, now }: Pick<Props, 'plan' | 'now'>) {
  const done = now.state === 'cut' ? plan.lines.length : Math.min(now.linesDone, plan.lines.length);
  return (
    <>
      <path d={plan.lines.slice(done).join('')} className="to-cut" />
      <path d={plan.lines.slice(0, done).join('')} className="is-cut" />
    </>
  );
}
