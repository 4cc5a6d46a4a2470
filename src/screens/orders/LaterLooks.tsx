// What becomes of a finished order: its pieces are looked at again after a day, in the wash, in wear.

import LaterPanel from '../shared/LaterPanel';

export default function LaterLooks({ orderId }: { readonly orderId: number }) {
  return (
    <section className="sheet" aria-label="How it lasts">
      <h2 className="flat">How it lasts</h2>
      <LaterPanel of={{ orderId }} />
    </section>
  );
}
