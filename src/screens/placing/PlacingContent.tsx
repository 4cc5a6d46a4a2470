// Where it sits: the blank to scale with what lies on it, how far from what, how to find the place by hand.

import Button from '@mui/material/Button';
import { useState } from 'react';
import type { ArtworkOnBlank, PlacingView } from '../../views/placing';
import { describePlaced, listFaultWords } from '../../wording/placing';
import { DraftNotice } from '../shared/DraftNotice';
import { useSettings } from '../shared/settings';
import { BlankDrawing } from './BlankDrawing';
import { ByHand } from './ByHand';
import { PlaceFields } from './PlaceFields';
import { RoundWall } from './RoundWall';
import { usePlacing } from './use-placing';
import { WidthTable } from './WidthTable';

export default function PlacingContent({ view }: { view: PlacingView }) {
  return <Placing initial={view} />;
}

function Placing({ initial }: { readonly initial: PlacingView }) {
  const settings = useSettings();
  const { view, form, values, placed, sizeName, setSizeName, save, draft, isDirty } = usePlacing(initial);
  const [at, setAt] = useState(0);
  const own = placed[at];
  const artwork = view.artworks[at];
  if (!own || !artwork) return <NothingOnIt view={view} />;
  const things = view.artworks.flatMap((one, index) =>
    placed[index]?.outline.side === own.outline.side ? [{ artwork: one, placed: placed[index] }] : [],
  );
  const verdict = describePlaced(own, settings);
  const faults = listFaultWords(own, artwork.place, things, settings);
  return (
    <form noValidate onSubmit={save.submit}>
      <PlacingHead
        view={view}
        artwork={artwork}
        sizeName={sizeName}
        verdict={verdict}
        faults={faults}
        isDirty={isDirty}
        isSaving={save.pending}
      />
      <DraftNotice draft={draft} />
      {save.failure && (
        <p role="alert" className="short">
          {save.failure}
        </p>
      )}
      <div className="cols split-5-4">
        <div className="sheet blank-side">
          <div className="actions">
            <Pick
              label="On it"
              options={view.artworks.map(({ optionLabel, artworkName }) => optionLabel ?? artworkName)}
              at={at}
              onPick={setAt}
            />
            <Pick
              label="Size"
              options={view.blank.sizes.map(({ name }) => name)}
              at={view.blank.sizes.findIndex(({ name }) => name === sizeName)}
              onPick={(index) => setSizeName(view.blank.sizes[index]!.name)}
            />
          </div>
          <BlankDrawing
            outline={own.outline}
            colour={view.blankColour}
            things={things}
            chosen={own}
            label={`${view.blank.name}, ${own.outline.side}, size ${sizeName}. ${verdict}`}
          />
        </div>
        <div className="cols">
          <PlaceFields
            form={form}
            at={at}
            view={view}
            placed={own}
            artwork={artwork}
            sizeName={sizeName}
            faults={faults}
          />
          <ByHand placed={own} />
          {own.area?.curve && (
            <RoundWall view={view} artwork={artwork} placed={own} sizeName={sizeName} isDirty={isDirty} />
          )}
          {!artwork.isText && view.blank.sizes.length > 1 && (
            <WidthTable form={form} at={at} view={view} placed={own} artwork={artwork} values={values.artworks[at]!} />
          )}
        </div>
      </div>
    </form>
  );
}

type HeadProps = {
  readonly view: PlacingView;
  readonly artwork: ArtworkOnBlank;
  readonly sizeName: string;
  readonly verdict: string;
  readonly faults: readonly string[];
  readonly isDirty: boolean;
  readonly isSaving: boolean;
};

/** The guide is of what is saved. */
function PlacingHead({ view, artwork, sizeName, verdict, faults, isDirty, isSaving }: HeadProps) {
  return (
    <div className="page-head below-4">
      <div>
        <h1 className="flat">Where it sits: {view.itemName}</h1>
        <p className="flat above-1 text-large" aria-live="polite">
          {faults.length > 0 ? <span className="short">{faults[0]}</span> : verdict}
        </p>
      </div>
      <div className="actions">
        <Button href={`/items/${view.itemId}`}>Back to the item</Button>
        <Button
          href={`/api/items/${view.itemId}/placing/guide?artwork=${artwork.index}&size=${encodeURIComponent(sizeName)}`}
          target="_blank"
          disabled={isDirty}
        >
          Print the guide
        </Button>
        <Button type="submit" variant="contained" disabled={isSaving || !isDirty}>
          Save
        </Button>
      </div>
    </div>
  );
}

type PickProps = {
  readonly label: string;
  readonly options: readonly string[];
  readonly at: number;
  readonly onPick: (index: number) => void;
};

/** One of a few; nothing where there is nothing to pick. */
function Pick({ label, options, at, onPick }: PickProps) {
  if (options.length < 2) return null;
  return (
    <div className="pick" role="group" aria-label={label}>
      {options.map((option, index) => (
        <Button
          key={`${option} ${index}`}
          size="small"
          variant={index === at ? 'contained' : 'outlined'}
          aria-pressed={index === at}
          onClick={() => onPick(index)}
        >
          {option}
        </Button>
      ))}
    </div>
  );
}

function NothingOnIt({ view }: { readonly view: PlacingView }) {
  return (
    <>
      <h1 className="flat">Where it sits: {view.itemName}</h1>
      <p className="sheet">
        Its drawings are gone. <a href={`/items/${view.itemId}`}>Choose others for this item</a>.
      </p>
    </>
  );
}
