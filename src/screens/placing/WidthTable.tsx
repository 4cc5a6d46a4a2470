// Widths by size: as proposed, scaled by the blank and gathered into few cut sizes, beside what the item has.

import Button from '@mui/material/Button';
import { proposeWidths, type PlacedArtwork } from '../../core/placing';
import { formatLength } from '../../core/units';
import type { ArtworkOnBlank, PlacingView } from '../../views/placing';
import { WIDTH_LIMIT_WORDS } from '../../wording/placing';
import { plural } from '../../wording/plural';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import type { PlacingForm, PlacingFormApi } from './use-placing';

type Props = {
  readonly form: PlacingFormApi;
  readonly at: number;
  readonly view: PlacingView;
  readonly placed: PlacedArtwork;
  readonly artwork: ArtworkOnBlank;
  readonly values: PlacingForm['artworks'][number];
};

export function WidthTable({ form, at, view, placed, artwork, values }: Props) {
  const settings = useSettings();
  const { widthMm, widths } = values;
  const chosen = { sizeName: view.sizeName, widthMm: Number(widthMm) };
  const proposed = proposeWidths({
    blank: view.blank,
    spot: placed.spot,
    place: artwork.place,
    aspect: artwork.aspect,
    chosen: chosen.widthMm > 0 ? chosen : null,
    platenWidthMm: view.platenWidthMm,
    vinylWidthMm: artwork.vinylWidthMm,
  });
  const has = (sizeName: string) => widths[sizeName] ?? widthMm;
  const count = new Set(proposed.map((one) => one.widthMm)).size;
  const isTaken = proposed.every((one) => Number(has(one.sizeName)) === one.widthMm);
  const take = () => {
    const set = { shouldDirty: true } as const;
    const usual = proposed.find(({ sizeName }) => sizeName === view.sizeName)?.widthMm ?? Number(widthMm);
    form.setValue(`artworks.${at}.widthMm`, usual, set);
    form.setValue(
      `artworks.${at}.widths`,
      Object.fromEntries(proposed.flatMap((one) => (one.widthMm === usual ? [] : [[one.sizeName, one.widthMm]]))),
      set,
    );
  };
  return (
    <section className="sheet" aria-label="Widths by size">
      <h2 className="flat below-2">Widths by size</h2>
      <p className="flat below-2">
        Scaled from {view.sizeName}, {plural(count, 'cut size')} will do for {plural(proposed.length, 'size')}.
      </p>
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">Size</th>
            <th scope="col" className="number">
              Scaled
            </th>
            <th scope="col" className="number">
              Proposed
            </th>
            <th scope="col" className="number">
              Now
            </th>
          </tr>
        </thead>
        <tbody>
          {proposed.map(({ sizeName, ideal, limit, widthMm: own }) => (
            <tr key={sizeName}>
              <th scope="row">{sizeName}</th>
              <td className="number">
                <Why figure={ideal} />
                {limit && <div className="soft">{WIDTH_LIMIT_WORDS[limit]}</div>}
              </td>
              <td className="number">{formatLength(own, settings)}</td>
              <td className="number">{formatLength(Number(has(sizeName)), settings)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <Button size="small" onClick={take} disabled={isTaken} className="above-2">
        Take the proposed widths
      </Button>
    </section>
  );
}
