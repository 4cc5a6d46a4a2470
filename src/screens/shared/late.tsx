// Parts of a page that are fetched when they are asked for. One that does not arrive says so, and can be asked for again.

import Button from '@mui/material/Button';
import { Component, lazy, Suspense, type ComponentType, type ReactNode } from 'react';
import { Failure } from './Failure';

type Load<P> = () => Promise<{ readonly default: ComponentType<P> }>;

/** The part did not arrive: the server is away, or was changed for a newer one meanwhile. */
class NotArrived extends Error {}

/** Of the file that did not arrive, as browsers name it in their error; null where they don't. */
const readAddress = (error: unknown): string | null =>
  (error instanceof Error && /https?:\S+\.js/.exec(error.message)?.[0]) || null;

/** A browser may remember that a file failed, and not ask for it again under the same address. */
async function importAnew<P>(address: string, failures: number): ReturnType<Load<P>> {
  const part = (await import(/* @vite-ignore */ `${address}?again=${failures}`)) as Awaited<ReturnType<Load<P>>>;
  // Built together with another part it has no name of its own: only the whole page brings it.
  if (!part.default) throw new Error(`No part of the page in ${address}`);
  return part;
}

/**
 * A component that is fetched when it is first shown. `waiting`: what stands in its place until then. Where the part has
 * `onClose` it is a dialog, and its failure can be closed as well.
 */
export function late<P extends object>(load: Load<P>, waiting: ReactNode = null): ComponentType<P> {
  let failures = 0;
  let failedAddress: string | null = null;
  const fetchPart = () =>
    lazy(async () => {
      try {
        return await (failedAddress === null ? load() : importAnew<P>(failedAddress, failures));
      } catch (cause) {
        failures += 1;
        failedAddress = readAddress(cause) ?? failedAddress;
        throw new NotArrived('A part of the page did not arrive', { cause });
      }
    }) as unknown as ComponentType<P>;
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
function NotArrivedNotice({ onTryAgain, onClose }: NoticeProps) {
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
