// A proof as a customer sees it: each design, and every piece with its texts, large enough to be read letter by letter.
// Nothing of the shop's own figures is on it.

import { formatInstant, toPercent } from '../../core/units';
import type { ProofPageView, StackedTexts } from '../../views/read-back';
import { plural } from '../../wording/plural';
import { asPage } from '../shared/page-data';
import { Themed } from '../shared/Themed';

export const ProofScreen = asPage(function ProofScreen({ view }: { view: ProofPageView }) {
  const settings = { locale: view.locale, timeZone: view.timeZone };
  return (
    <Themed>
      <main className="proof-page">
        <header className="page-head">
          <div>
            <h1 className="flat">{view.title}</h1>
            <p className="flat above-1 text-large">
              Proof {view.number} for {view.customerName}, {formatInstant(view.atMs, settings)}, from {view.shopName}
            </p>
            <p className="flat above-2">
              {view.approvedAtMs === null
                ? 'Please compare every name and number letter by letter, then tell us that it is right. Nothing is cut before.'
                : `Approved by ${view.approvedBy} on ${formatInstant(view.approvedAtMs, settings)}.`}
            </p>
          </div>
          <div className="actions no-print">
            <a className="plain-button" href={`/api/proof/${view.token}.pdf`}>
              Save as PDF
            </a>
          </div>
        </header>
        {view.designs.map((design, at) => (
          <Design key={at} design={design} />
        ))}
      </main>
    </Themed>
  );
});

type DesignProps = { readonly design: ProofPageView['designs'][number] };

function Design({ design: { itemName, colourName, pictures, labels, pieces } }: DesignProps) {
  const count = pieces.reduce((sum, piece) => sum + piece.quantity, 0);
  return (
    <section className="sheet below-4">
      <h2 className="flat">{itemName}</h2>
      <p className="soft flat">
        {plural(count, 'piece')} in {colourName}
      </p>
      {pictures.length > 0 && (
        <div className="proof-pictures">
          {pictures.map(({ href, place, widthMm }) => (
            <figure key={place}>
              <img src={href} alt={`The design for ${place}`} />
              <figcaption>
                {place}, {Math.round(widthMm)} mm wide
              </figcaption>
            </figure>
          ))}
        </div>
      )}
      {labels.length > 0 ? (
        <ul className="proof-pieces">
          {pieces.map((piece, at) => (
            <li key={at}>
              {piece.texts.map(({ label, text, href }) => (
                <div key={label}>
                  <span className="soft">{label}</span>
                  <strong className="own-text">{text}</strong>
                  {href && <img src={href} alt={`${label} as it will look`} />}
                </div>
              ))}
              {piece.together.map((stack) => (
                <Stack key={stack.place} stack={stack} />
              ))}
              <span className="soft">size {piece.sizeName}</span>
            </li>
          ))}
        </ul>
      ) : (
        <p className="flat above-3">{pieces.map(({ sizeName, quantity }) => `${quantity} × ${sizeName}`).join(', ')}</p>
      )}
    </section>
  );
}

const share = (of: number): string => `${toPercent(of)}%`;

/** Texts of one place as they stand on the piece. */
function Stack({ stack: { place, ground, texts } }: { readonly stack: StackedTexts }) {
  return (
    <figure className="text-stack" style={{ background: ground }} aria-label={`Together at ${place}`}>
      {texts.map(({ href, widthShare, gapShare }, at) => (
        <img key={at} src={href} alt="" style={{ width: share(widthShare), marginTop: share(gapShare) }} />
      ))}
    </figure>
  );
}
