// The stall: a piece is chosen, lettered, seen, paid and made while the customer waits. For fingers.

import { useEffect, useState } from 'react';
import type { StallView } from '../../views/stall';
import { OrderRooms } from '../customers/OrderRooms';
import { Failure } from '../shared/Failure';
import { StallItems } from './StallItems';
import { StallPay } from './StallPay';
import { StallPiece } from './StallPiece';
import { StallQueue } from './StallQueue';
import { StallTaken } from './StallTaken';
import { useStall } from './use-stall';

export default function StallContent({ view }: { view: StallView }) {
  return (
    <>
      <OrderRooms current="/orders/stall" />
      <Stall view={view} />
    </>
  );
}

function Stall({ view }: { readonly view: StallView }) {
  const stall = useStall(view);
  return (
    <div className="stall">
      <Network />
      {stall.taken ? (
        <StallTaken stall={stall} />
      ) : stall.item ? (
        <div className="stall-piece">
          <StallPiece stall={stall} />
          <StallPay stall={stall} />
        </div>
      ) : (
        <StallItems items={view.items} waitSeconds={stall.queue.waitSeconds} onChoose={stall.choose} />
      )}
      {stall.failure && <Failure spaced>{stall.failure}</Failure>}
      <StallQueue queue={stall.queue} />
    </div>
  );
}

/** All that the stall needs is on this device: it only says that others can't be reached. */
function Network() {
  const [isOnline, setOnline] = useState(true);
  useEffect(() => {
    const look = () => setOnline(navigator.onLine);
    look();
    addEventListener('online', look);
    addEventListener('offline', look);
    return () => {
      removeEventListener('online', look);
      removeEventListener('offline', look);
    };
  }, []);
  if (isOnline) return null;
  return (
    <p className="flat short" role="status">
      There is no network. On the device that Chiral runs on everything works and is kept; other devices see it once the
      network is back.
    </p>
  );
}
