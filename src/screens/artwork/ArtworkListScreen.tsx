// Artwork: every drawing that is kept, and a place to drop the next.

import Button from '@mui/material/Button';
import { formatLength } from '../../core/units';
import type { ArtworkListView } from '../../views/artwork';
import type { FrameView } from '../../views/frame';
import { Frame } from '../shared/Frame';
import { useListView } from '../shared/use-list-view';
import { ListSearch, Pager } from '../shared/ListTools';
import { useSettings } from '../shared/settings';
import { plural } from '../../wording/plural';
import { Swatch } from '../shared/Swatch';
import { asPage } from '../shared/page-data';

export const ArtworkListScreen = asPage(function ArtworkListScreen({
  frame,
  view,
}: {
  frame: FrameView;
  view: ArtworkListView;
}) {
  return (
    <Frame frame={frame} current="artwork" newHref="/artwork/new">
      <ArtworkList initial={view} />
    </Frame>
  );
});

function ArtworkList({ initial }: { readonly initial: ArtworkListView }) {
  const view = useListView('/api/artwork', initial);
  const settings = useSettings();
  const { query, at } = view;
  const isEmpty = at.total === 0 && query.words === '';
  return (
    <>
      <div className="page-head">
        <div>
          <h1 className="flat">{isEmpty ? 'No drawings yet' : `${plural(at.total, 'drawing')}, measured`}</h1>
        </div>
        <div className="actions">
          <Button variant="contained" href="/artwork/new">
            Measure a drawing
          </Button>
        </div>
      </div>
      {isEmpty && (
        <div className="sheet empty lifted">
          <p>
            Drop in an SVG drawing: Chiral measures area, knife path and cavities of each colour, and shows it as worn
            and as cut.
          </p>
          <Button variant="contained" href="/artwork/new">
            Measure the first drawing
          </Button>
        </div>
      )}
      {(at.pages > 1 || query.words) && <ListSearch label="Find a drawing" query={query} />}
      {at.total === 0 && query.words && <p className="soft">No drawing is called so.</p>}
      <div className="cards">
        {view.artworks.map((artwork) => (
          <a key={artwork.id} className="sheet" href={`/artwork/${artwork.id}`}>
            <span className="thumb">
              <img src={artwork.pictureHref} alt="" loading="lazy" className="drawn" />
            </span>
            <div className="text">
              <strong>{artwork.name}</strong>
              <div className="soft figures text-small">
                {formatLength(artwork.widthMm, settings)} × {formatLength(artwork.heightMm, settings)}
              </div>
              <div className="soft">
                {artwork.layers.map(({ name, colour }, index) => (
                  <span key={index} className="after-4">
                    <Swatch colour={colour ?? undefined} />
                    {name}
                  </span>
                ))}
              </div>
              <div className="soft">
                {artwork.usedBy === 0 ? 'in no item yet' : `in ${plural(artwork.usedBy, 'item')}`}
              </div>
            </div>
          </a>
        ))}
      </div>
      <Pager at={at} query={query} />
    </>
  );
}
