// Which bits of a part are made anew: tapped in its picture, by touch or by keyboard.

import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { boundPoints } from '../../core/geometry';
import type { CutOutline } from '../../core/nesting';
import type { RecutBits } from '../../core/orders';
import type { PartDrawing } from '../../views/bench';
import { verbFor } from '../../wording/plural';
import { callApi, fetchFile, wordsOf } from '../shared/api';
import { bitsInWorker } from '../../workers/nest-client';

const MARGIN_SHARE = 0.02;
/** Nobody finds one of more by eye. */
const MOST_BITS = 400;

type Props = {
  readonly partId: number;
  readonly value: RecutBits | null;
  readonly onChange: (recut: RecutBits | null) => void;
};

export default function BitPicker({ partId, value, onChange }: Props) {
  const { data, error } = useQuery({
    queryKey: ['bits', partId],
    queryFn: () => readBits(partId),
    staleTime: Infinity,
  });
  // What is being made anew already is proposed again.
  useEffect(() => {
    if (data?.recut && value === null) onChange(data.recut);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- proposed once, when the picture arrives
  }, [data]);
  if (error) return <p className="short flat">{wordsOf(error)}</p>;
  if (!data) return <p className="soft flat">Drawing its bits …</p>;
  const { bits } = data;
  if (bits.length < 2) return <p className="soft flat">It is all in one piece: the whole of it is recut.</p>;
  if (bits.length > MOST_BITS)
    return <p className="soft flat">It has {bits.length} bits, too many to choose from: the whole of it is recut.</p>;
  const chosen = new Set(value?.bits);
  const toggle = (bit: number) => {
    if (!chosen.delete(bit)) chosen.add(bit);
    const kept = [...chosen].sort((a, b) => a - b);
    onChange(kept.length === 0 || kept.length === bits.length ? null : { bits: kept, of: bits.length });
  };
  return (
    <div>
      <BitPicture bits={bits} chosen={chosen} onToggle={toggle} />
      <p className="soft flat" aria-live="polite">
        {value
          ? `${value.bits.length} of ${value.of} bits ${verbFor(value.bits.length, 'is', 'are')} recut; the rest stays.`
          : 'All of it is recut. If the rest is good, tap only the bits that are spoiled.'}
      </p>
    </div>
  );
}

async function readBits(partId: number) {
  const drawing = await callApi<PartDrawing>('GET', `/api/parts/${partId}/drawing`);
  const { artworkId, recut, ...wish } = drawing;
  const file = await (await fetchFile(`/api/artwork/${artworkId}/original`)).arrayBuffer();
  return { bits: await bitsInWorker(file, { ...wish, mirrored: false }), recut };
}

type PictureProps = {
  readonly bits: readonly CutOutline[];
  readonly chosen: ReadonlySet<number>;
  readonly onToggle: (bit: number) => void;
};

function BitPicture({ bits, chosen, onToggle }: PictureProps) {
  const box = boundPoints(bits.map(({ outline }) => outline))!;
  const margin = Math.max(box.width, box.height) * MARGIN_SHARE;
  return (
    <svg
      className="bit-picture"
      viewBox={`${box.x - margin} ${box.y - margin} ${box.width + 2 * margin} ${box.height + 2 * margin}`}
      role="group"
      aria-label="Bits from left to right"
    >
      {bits.map((bit, at) => (
        <path
          key={at}
          d={drawBit(bit)}
          fillRule="evenodd"
          className={chosen.has(at) ? 'bit again' : 'bit'}
          role="checkbox"
          aria-checked={chosen.has(at)}
          aria-label={`bit ${at + 1}`}
          tabIndex={0}
          onClick={() => onToggle(at)}
          onKeyDown={(event) => {
            if (event.key !== ' ' && event.key !== 'Enter') return;
            event.preventDefault();
            onToggle(at);
          }}
        />
      ))}
    </svg>
  );
}

const drawBit = ({ paths }: CutOutline): string =>
  paths.map(({ points }) => `M${points.map(({ x, y }) => `${x.toFixed(2)} ${y.toFixed(2)}`).join('L')}Z`).join('');
