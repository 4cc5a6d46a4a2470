// A figure that answers "why": click it, or focus it and press =, and its working opens.

import Popover from '@mui/material/Popover';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { formatFigure, type Figure } from '../../core/units';
import { callApi, wordsOf } from './api';
import { useSettings } from './settings';

export function Why({
  figure,
  from,
  children,
  className,
  style,
}: {
  figure: Figure;
  /** The address of the figure with its working, where it came without one: asked for once it is opened. */
  from?: string;
  children?: ReactNode;
  className?: string;
  style?: React.CSSProperties;
}) {
  const settings = useSettings();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <button
        type="button"
        className={className ?? 'why'}
        style={style}
        aria-haspopup="dialog"
        aria-label={`${figure.label}: ${formatFigure(figure, settings)}, show working`}
        onClick={(event) => setAnchor(event.currentTarget)}
        onKeyDown={(event) => {
          if (event.key === '=') setAnchor(event.currentTarget);
        }}
      >
        {children ?? formatFigure(figure, settings)}
      </button>
      {anchor && (
        <Popover
          open
          anchorEl={anchor}
          onClose={() => setAnchor(null)}
          anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
          slotProps={{
            paper: { className: 'working', role: 'dialog', 'aria-label': `Working: ${figure.label}`, tabIndex: -1 },
          }}
        >
          <div className="top">
            <strong>{figure.label}</strong>
            <strong className="figures">{formatFigure(figure, settings)}</strong>
          </div>
          {from && !figure.parts ? <FetchedWorking from={from} /> : <Working figure={figure} />}
        </Popover>
      )}
    </>
  );
}

function FetchedWorking({ from }: { from: string }) {
  const { data, error } = useQuery({
    queryKey: ['working', from],
    queryFn: ({ signal }) => callApi<Figure>('GET', from, undefined, signal),
    staleTime: 0,
  });
  if (error) return <em role="alert">{wordsOf(error)}</em>;
  return data ? <Working figure={data} /> : <em>Calculating…</em>;
}

function Working({ figure }: { figure: Figure }) {
  const settings = useSettings();
  return (
    <>
      {figure.how && <em>{figure.how}</em>}
      {figure.low !== undefined && figure.high !== undefined && (
        <em>
          likely {formatFigure({ value: figure.low, unit: figure.unit }, settings)} to{' '}
          {formatFigure({ value: figure.high, unit: figure.unit }, settings)}
        </em>
      )}
      <WorkingParts parts={figure.parts ?? []} depth={0} />
      {!figure.parts?.length && <em>source: {figure.source}</em>}
    </>
  );
}

const DEPTH_SHOWN = 5;

function WorkingParts({ parts, depth }: { parts: readonly Figure[]; depth: number }) {
  const settings = useSettings();
  if (parts.length === 0 || depth >= DEPTH_SHOWN) return null;
  return (
    <ul>
      {parts.map((part, index) => (
        <li key={index}>
          <div>
            <span>
              {part.label} <span className="tag">{part.source}</span>
            </span>
            <span className="figures">{formatFigure(part, settings)}</span>
          </div>
          {part.how && <em>{part.how}</em>}
          <WorkingParts parts={part.parts ?? []} depth={depth + 1} />
        </li>
      ))}
    </ul>
  );
}
