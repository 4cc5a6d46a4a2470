// The page for an address that leads nowhere.

import Button from '@mui/material/Button';
import type { FrameView } from '../../views/frame';
import { Frame } from '../shared/Frame';
import { asPage } from '../shared/page-data';

export const NotFoundScreen = asPage(function NotFoundScreen({ frame, what }: { frame: FrameView; what: string }) {
  return (
    <Frame frame={frame} current="today">
      <div className="sheet empty">
        <h1 className="above-0">Not here</h1>
        <p>{what}</p>
        <div className="actions centred">
          <Button variant="contained" href="/">
            Back to today
          </Button>
          <Button href="/orders">All orders</Button>
          <Button href="/items">All items</Button>
        </div>
      </div>
    </Frame>
  );
});
