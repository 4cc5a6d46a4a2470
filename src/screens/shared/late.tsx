// Parts of a page that are fetched when they are asked for. One that does not arrive says so, and can be asked for again.

import Button from '@mui/material/Button';
import { Component, lazy, Suspense, type ComponentType, type ReactNode } from 'react';
import { Failure } from './Failure';
import { makeFetch, NotArrived, type Load } from './part-fetch';

/**
 * A component that is fetched when it is first shown. `waiting`: what stands in its place until then. Where the part has
 * `onClose` it is a dialog, and its failure can be closed as well.
 */
export function late<P extends object>(load: Load<P>, waiting: ReactNode = null): ComponentType<P> {
  const fetchFile = makeFetch(load);
  const fetchPart = () => lazy(fetchFile) as unknown as ComponentType<P>;
  // Kept outside of the component: what waits for a part for the first time has no state yet.
  let part = fetchPart();

  return class Late extends Component<P, { readonly failed: boolean }> {
    override state = { failed: false };

    static getDerivedStateFromError(error: unknown) {
      if (!(error instanceof NotArrived)) throw error;
      return { failed: true };
    }

    readonly tryAgain = () => {
      part = fetchPart();
      this.setState({ failed: false });
    };

    override render() {
      const onClose = 'onClose' in this.props ? (this.props.onClose as () => void) : null;
      if (this.state.failed) return <NotArrivedNotice onTryAgain={this.tryAgain} onClose={onClose} />;
      const Part = part;
      return (
        <Suspense fallback={waiting}>
          <Part {...this.props} />
        </Suspense>
      );
    }
  };
}

type NoticeProps = { readonly onTryAgain: () => void; readonly onClose: (() => void) | null };

/** Of a dialog it lies over the page, as the dialog would; of a part of the page it stands in its place. */
export function NotArrivedNotice({ onTryAgain, onClose }: NoticeProps) {
  return (
    <div className={onClose ? 'over-page' : undefined}>
      <Failure>
        <strong>This part of the page could not be loaded. </strong>
        Nothing you typed is lost. Is Chiral still running?
        <span className="actions above-2">
          <Button size="small" variant="contained" onClick={onTryAgain} autoFocus>
            Try again
          </Button>
          <Button size="small" onClick={() => location.reload()}>
            Reload the page
          </Button>
          {onClose && (
            <Button size="small" variant="text" onClick={onClose}>
              Close
            </Button>
          )}
        </span>
      </Failure>
    </div>
  );
}
