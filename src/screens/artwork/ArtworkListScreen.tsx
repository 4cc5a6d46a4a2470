// Artwork: every drawing that is kept, and a place to drop the next.

import Button from '@mui/material/Button';
import { formatLength } from '../../core/units';
import type { ArtworkListView } from '../../views/artwork';
import type { FrameView } from '../../views/frame';
import { Frame } from '../shared/Frame';
import { Picture } from '../shared/Picture';
import { useSettings } from '../shared/settings';
import { plural } from '../../wording/plural';
import { Swatch } from '../shared/Swatch';

export function ArtworkListScreen({ frame, view }: { frame: FrameView; view: ArtworkListView }) {
  return (
    <Frame frame={frame} current="artwork" newHref="/artwork/new">
      <ArtworkList view={view} />
    </Frame>
  );
}

function ArtworkList({ view }: { view: ArtworkListView }) {
  const settings = useSettings();
  return (
    <>
      <div className="page-head">
        <div>
          <h1 className="flat">
            {view.artworks.length === 0 ? 'No drawings yet' : `${view.artworks.length} drawings, measured`}
          </h1>
        </div>
        <div className="actions">
          <Button variant="contained" href="/artwork/new">
            Measure a drawing
          </Button>
        </div>
      </div>
      {view.artworks.length === 0 && (
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
      <div className="cards">
        {view.artworks.map((artwork) => (
          <a key={artwork.id} className="sheet" href={`/artwork/${artwork.id}`}>
            <span className="thumb">
              <Picture picture={artwork.picture} label="" />
            </span>
            <div className="text">
              <strong>{artwork.name}</strong>
              <div className="soft figures text-small">
                {formatLength(artwork.measurement.widthMm, settings)} ×{' '}
                {formatLength(artwork.measurement.heightMm, settings)}
              </div>
              <div className="soft">
                {artwork.layerNames.map((name, index) => (
                  <span key={index} className="after-4">
                    <Swatch colour={artwork.measurement.layers[index]?.colour} />
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
    </>
  );
}
