// Spoiled spots of an offcut: clicked on its drawing, or measured from its top left.

import Button from '@mui/material/Button';
import type { SpoiledSpot } from '../../core/stock';
import type { LotView } from '../../views/stock';
import { OffcutShapeView } from './OffcutShapeView';
import { useLengthUnit } from '../shared/use-numbers';
import { NumberText } from './SmallFields';

/** As typed. */
export type SpoiledSpotText = {
  readonly x: string;
  readonly y: string;
  readonly width: string;
  readonly height: string;
};
const FIELDS = [
  ['x', 'From the left'],
  ['y', 'From the top'],
  ['width', 'Width'],
  ['height', 'Length'],
] as const;
/** A thumb's width: what a crease or a hole usually takes. */
const USUAL_MM = 20;

export function useSpoiledSpots(): {
  readonly toText: (spot: SpoiledSpot) => SpoiledSpotText;
  readonly fromText: (spot: SpoiledSpotText) => SpoiledSpot | null;
} {
  const { toMm, fromMm } = useLengthUnit();
  return {
    toText: ({ x, y, width, height }) => ({ x: fromMm(x), y: fromMm(y), width: fromMm(width), height: fromMm(height) }),
    fromText: (spot) => {
      const [x, y, width, height] = [toMm(spot.x), toMm(spot.y), toMm(spot.width), toMm(spot.height)];
      return x === null || y === null || width === null || height === null ? null : { x, y, width, height };
    },
  };
}

export function SpoiledSpotFields({
  lot,
  colourHex,
  spots,
  onChange,
  error,
}: {
  lot: LotView;
  colourHex: string;
  spots: readonly SpoiledSpotText[];
  onChange: (spots: readonly SpoiledSpotText[]) => void;
  error: string | undefined;
}) {
  const { unit } = useLengthUnit(),
    { toText, fromText } = useSpoiledSpots();
  const add = (x: number, y: number) =>
    onChange([
      ...spots,
      toText({
        x: Math.max(0, Math.round(x - USUAL_MM / 2)),
        y: Math.max(0, Math.round(y - USUAL_MM / 2)),
        width: USUAL_MM,
        height: USUAL_MM,
      }),
    ]);
  return (
    <>
      <OffcutShapeView
        lot={lot}
        colourHex={colourHex}
        size={190}
        spots={spots.flatMap((spot) => fromText(spot) ?? [])}
        onPick={({ x, y }) => add(x, y)}
      />
      <p className="soft flat">
        {spots.length === 0 ? 'Nothing of it is spoiled, as far as is known.' : 'Cut sheets keep clear of these.'} Click
        where it is creased, holed or dirty.
      </p>
      {spots.map((spot, at) => (
        <SpotFields
          key={at}
          at={at}
          unit={unit}
          spot={spot}
          onChange={onChange}
          spots={spots}
          error={error}
          fromText={fromText}
        />
      ))}
      <div>
        <Button size="small" onClick={() => add((lot.widthMm ?? 0) / 2, (lot.lengthMm ?? 0) / 2)}>
          Add a spot by its measures
        </Button>
      </div>
    </>
  );
}

type SpotFieldsProps = {
  readonly at: number;
  readonly unit: 'mm' | 'in';
  readonly spot: SpoiledSpotText;
  readonly onChange: (spots: readonly SpoiledSpotText[]) => void;
  readonly spots: readonly SpoiledSpotText[];
  readonly error: string | undefined;
  readonly fromText: (spot: SpoiledSpotText) => SpoiledSpot | null;
};

function SpotFields({ at, unit, spot, onChange, spots, error, fromText }: SpotFieldsProps) {
  return (
    <div role="group" aria-label={`Spot ${at + 1}`} className="row gap-3 top">
      <div className="grow grid gap-3 four-columns">
        {FIELDS.map(([field, label]) => (
          <NumberText
            key={field}
            label={label}
            unit={unit}
            value={spot[field]}
            onChange={(text) => onChange(spots.map((one, index) => (index === at ? { ...one, [field]: text } : one)))}
            error={error && fromText(spot) === null ? error : undefined}
          />
        ))}
      </div>
      <Button
        variant="text"
        size="small"
        aria-label={`Spot ${at + 1} is none`}
        onClick={() => onChange(spots.filter((_, index) => index !== at))}
      >
        Take off
      </Button>
    </div>
  );
}
