// A quote straight from a drawing: the file is measured and kept, then blank, width and vinyls are chosen.

import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMutation } from '@tanstack/react-query';
import { useMemo, useRef, useState } from 'react';
import { chooseVinyls } from '../../core/costing/choose-vinyls';
import { startPlacement } from '../../core/costing/item-plan';
import { formatLength } from '../../core/units';
import type { ArtworkView } from '../../views/artwork';
import type { ItemMaterialsView } from '../../views/items';
import type { BlankView, ShelfView, VinylView } from '../../views/shelf';
import { plural } from '../../wording/plural';
import { addNew } from './add-new';
import { callApi, wordsOf } from './api';
import { MORE } from './more-choices';
import { MakeInPlace, useMaker } from './MakeInPlace';
import { NumberInput } from './NumberInput';
import { Picture } from './Picture';
import { useSettings } from './settings';
import { Failure } from './Failure';
import { Swatch } from './Swatch';

export type DrawingWish = {
  readonly artwork: ArtworkView;
  readonly blank: BlankView;
  readonly widthMm: number;
  readonly vinylIds: readonly number[];
};
function startWish(artwork: ArtworkView, shelf: ShelfView, blank = shelf.blanks[0]!): DrawingWish {
  const { widthMm, vinylIds } = startPlacement(artwork, chooseVinyls(artwork, shelf.vinyls, blank), '');
  return { artwork, blank, widthMm, vinylIds };
}

type Props = {
  readonly shelf: ShelfView;
  readonly wish: DrawingWish | null;
  readonly onChange: (wish: DrawingWish | null) => void;
};

/** What is missing on the shelf is made here, and is chosen at once. */
export function QuoteDrawing({ shelf, wish, onChange }: Props) {
  const [blanks, setBlanks] = useState<readonly BlankView[]>([]);
  const [vinyls, setVinyls] = useState<readonly VinylView[]>([]);
  const own = useMemo(
    () => ({ ...shelf, blanks: addNew(shelf.blanks, blanks), vinyls: addNew(shelf.vinyls, vinyls) }),
    [shelf, blanks, vinyls],
  );
  const addVinyl = (made: VinylView) => setVinyls((now) => addNew(now, [made]));
  return (
    <MakeInPlace onBlank={(made) => setBlanks((now) => [...now, made])} onVinyl={addVinyl}>
      {own.blanks.length === 0 || own.vinyls.length === 0 ? (
        <Missing shelf={own} />
      ) : (
        <FromDrawing shelf={own} wish={wish} onChange={onChange} onVinyl={addVinyl} />
      )}
    </MakeInPlace>
  );
}

function Missing({ shelf }: { readonly shelf: ShelfView }) {
  const maker = useMaker();
  return (
    <div className="drop slim">
      <span className="soft">A quote from a drawing needs something to put it on and something to cut it from. </span>
      {shelf.blanks.length === 0 && (
        <Button size="small" onClick={() => maker?.blank(() => {})}>
          Add a blank
        </Button>
      )}{' '}
      {shelf.vinyls.length === 0 && (
        <Button size="small" onClick={() => maker?.vinyl(() => {})}>
          Add a vinyl
        </Button>
      )}
    </div>
  );
}

type FromDrawingProps = Props & {
  /** Takes a vinyl into the list. */
  readonly onVinyl: (vinyl: VinylView) => void;
};

function FromDrawing({ shelf, wish, onChange, onVinyl }: FromDrawingProps) {
  const chooser = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(false);
  const [refusal, setRefusal] = useState<string | null>(null);
  const take = async (file: File) => {
    setBusy(true);
    setRefusal(null);
    try {
      const name = file.name.replace(/\.[^.]+$/, '') || 'Drawing';
      const { id } = await callApi<{ id: number }>(
        'POST',
        `/api/artwork?${new URLSearchParams({ name, fileName: file.name }).toString()}`,
        file,
      );
      const blank = shelf.blanks[0]!;
      const near = await callApi<ItemMaterialsView>('GET', `/api/items/materials?artwork=${id}&blank=${blank.id}`);
      near.vinyls.forEach(onVinyl);
      onChange(startWish(near.artworks[0]!, { ...shelf, vinyls: addNew(shelf.vinyls, near.vinyls) }, blank));
    } catch (error) {
      setRefusal(wordsOf(error));
    } finally {
      setBusy(false);
    }
  };
  return (
    <div
      className="cols"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        const [file] = event.dataTransfer.files;
        if (file) void take(file);
      }}
    >
      <input
        ref={chooser}
        type="file"
        accept=".svg,.dxf,image/svg+xml"
        className="visually-hidden"
        tabIndex={-1}
        aria-label="Drawing to quote"
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) void take(file);
          event.target.value = '';
        }}
      />
      {refusal && <Failure>{refusal}</Failure>}
      {!wish ? (
        <div className="drop slim">
          <Button size="small" disabled={busy} onClick={() => chooser.current?.click()}>
            {busy ? 'Measuring it' : 'From a drawing'}
          </Button>{' '}
          <span className="soft">or drop an SVG or DXF here: it is measured and saved under Artwork</span>
        </div>
      ) : (
        <DrawingFields wish={wish} onChange={onChange} shelf={shelf} />
      )}
    </div>
  );
}

type DrawingFieldsProps = {
  readonly wish: DrawingWish;
  readonly onChange: (wish: DrawingWish | null) => void;
  readonly shelf: ShelfView;
};

function DrawingFields({ wish, onChange, shelf }: DrawingFieldsProps) {
  const settings = useSettings();
  const maker = useMaker();
  return (
    <div className="fields top quote-layer">
      <span className="thumb pad-1 border-box picture-strip">
        <Picture picture={wish.artwork.picture} label={wish.artwork.name} />
      </span>
      <NumberInput
        shown
        label="Width"
        unit="mm"
        value={wish.widthMm}
        least={3}
        onChange={(widthMm) => onChange({ ...wish, widthMm })}
      />
      <TextField
        select
        label="Blank"
        value={wish.blank.id}
        onChange={({ target: { value } }) => {
          if (String(value) === MORE) return maker?.blank((blank) => onChange({ ...wish, blank }));
          onChange({ ...wish, blank: shelf.blanks.find((blank) => blank.id === Number(value)) ?? wish.blank });
        }}
      >
        {shelf.blanks.map((blank) => (
          <MenuItem key={blank.id} value={blank.id}>
            {blank.name}
          </MenuItem>
        ))}
        {maker && (
          <MenuItem value={MORE}>
            <em>Another blank…</em>
          </MenuItem>
        )}
      </TextField>
      {wish.vinylIds.map((id, at) => (
        <WishVinyl key={at} at={at} wish={wish} id={id} onChange={onChange} shelf={shelf} />
      ))}
      {wish.artwork.measurement.strokesApart > 0 && (
        <StrokesOffer
          artwork={wish.artwork}
          onOutlined={(artwork) => onChange({ ...startWish(artwork, shelf, wish.blank), widthMm: wish.widthMm })}
        />
      )}
      <span className="soft whole-row">
        {wish.artwork.name}, {formatLength(wish.widthMm, settings)} ×{' '}
        {formatLength((wish.widthMm * wish.artwork.measurement.heightMm) / wish.artwork.measurement.widthMm, settings)}.
        Saved with the quote, it becomes an item.{' '}
        <Button size="small" variant="text" onClick={() => onChange(null)}>
          An item instead
        </Button>
      </span>
    </div>
  );
}

type WishVinylProps = {
  readonly at: number;
  readonly wish: DrawingWish;
  readonly id: number;
  readonly onChange: (wish: DrawingWish) => void;
  readonly shelf: ShelfView;
};

function WishVinyl({ at, wish, id, onChange, shelf }: WishVinylProps) {
  const maker = useMaker();
  const choose = (chosen: number) =>
    onChange({ ...wish, vinylIds: wish.vinylIds.map((own, index) => (index === at ? chosen : own)) });
  return (
    <TextField
      select
      label={`Vinyl for ${wish.artwork.layerNames[at] ?? `layer ${at + 1}`}`}
      value={id}
      onChange={({ target: { value } }) => {
        if (String(value) === MORE) maker?.vinyl((made) => choose(made.id));
        else choose(Number(value));
      }}
    >
      {shelf.vinyls.map((vinyl) => (
        <MenuItem key={vinyl.id} value={vinyl.id}>
          <Swatch colour={vinyl.colourHex} />
          {vinyl.name}
        </MenuItem>
      ))}
      {maker && (
        <MenuItem value={MORE}>
          <em>Another vinyl…</em>
        </MenuItem>
      )}
    </TextField>
  );
}

type StrokesOfferProps = {
  readonly artwork: ArtworkView;
  readonly onOutlined: (artwork: ArtworkView) => void;
};

/** Lines that are strokes are in no layer: they would not be cut, and cost nothing. */
function StrokesOffer({ artwork, onOutlined }: StrokesOfferProps) {
  const outline = useMutation({
    mutationFn: () => {
      const { name, licence, layerNames, layerVinylIds, version, id } = artwork;
      const steps = [...artwork.steps, { kind: 'outline-strokes', on: true }];
      return callApi<ArtworkView>('PUT', `/api/artwork/${id}`, {
        name,
        licence,
        layerNames,
        layerVinylIds,
        version,
        steps,
      });
    },
    onSuccess: onOutlined,
  });
  return (
    <div className="whole-row notice">
      {plural(artwork.measurement.strokesApart, 'line')} drawn as strokes: not cut, and not in the cost.{' '}
      <Button size="small" disabled={outline.isPending} onClick={() => outline.mutate()}>
        Turn them to outlines
      </Button>
      {outline.error && <Failure>{wordsOf(outline.error)}</Failure>}
    </div>
  );
}
