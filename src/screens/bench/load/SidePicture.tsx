// Which side of the vinyl lies up, drawn: the knife from above, and the letter as it is seen there.

type Props = { readonly mirrored: boolean };

/** A plain R: it tells left from right. */
const LETTER = 'M0 24V0H9a7 7 0 0 1 0 14H0M7 14L16 24';

export function SidePicture({ mirrored }: Props) {
  const words = mirrored
    ? 'From above: vinyl, dull side up, on its shiny carrier; the letter is seen backwards'
    : 'From above: vinyl, face up, on its backing; the letter is seen as it is read';
  return (
    <svg role="img" aria-label={words} viewBox="0 0 190 86" className="side-picture">
      <g className="film">
        <path d="M14 46L120 46L160 66L54 66Z" className="under" />
        <path d="M14 38L120 38L160 58L54 58Z" className="vinyl" />
        <path d="M120 38C136 38 142 26 132 20" className="curl" />
      </g>
      <g transform={`translate(${mirrored ? 96 : 78} 40) skewX(28) scale(${mirrored ? -1 : 1} 0.62)`}>
        <path d={LETTER} className="letter" />
      </g>
      <path d="M64 4L64 24M60 18L64 26L68 18" className="knife-sign" />
      <text x="74" y="16">
        knife
      </text>
      <text x="14" y="82">
        {mirrored ? 'carrier below' : 'backing below'}
      </text>
    </svg>
  );
}
